import { callSets } from '../calls/call-sets';
import { acrosses, sides } from '../movement/sequence/shots';
import type { EventKind } from './event';

/**
 * What an event's text is, by its kind:
 * - `none`: nothing
 * - `call`: a part of a routine, "2/4", the call it answers, "left", or nothing
 * - `name`: what something is called in the drills or the plan, such as "row-20", or nothing
 * - `phrase`: a change by its name, such as "eyes up", or nothing
 * - `words`: what a person wrote or answered
 * - `record`: what a block is
 */
export type TextRule = 'none' | 'call' | 'name' | 'phrase' | 'words' | 'record';

export const textOf: Readonly<Record<EventKind, TextRule>> = {
  ...{ touch: 'call', drop: 'call', zone: 'call', hold: 'call', grade: 'call', lap: 'call' },
  ...{ result: 'call', done: 'call' },
  ...{ step: 'name', change: 'phrase', breathless: 'name', ball: 'name', feed: 'name' },
  ...{ held: 'words', broke: 'words', note: 'words', beside: 'words' },
  ...{ start: 'name', pause: 'name', end: 'name' },
  ...{ skip: 'name', back: 'name', extend: 'name', share: 'name', out: 'name', swap: 'name' },
  ...{ begun: 'record', correct: 'record' },
  ...{ undo: 'none', fix: 'none' },
};

const part = /^\d{1,3}\/\d{1,3}$/;
/** Every word somebody can be called with, and the places of a shadow sequence: no coach writes one. */
const calls: ReadonlySet<string> = new Set([
  'ready',
  ...Object.values(callSets).flatMap((set) => set.map(({ word }) => word)),
  ...sides.flatMap((side) => acrosses.map((across) => `${side} ${across}`)),
]);
const phrase = /^[a-z][a-z -]{0,39}$/;
const name = /^[\w:.+/-]{1,80}$/;

/** Does a text belong on an event of a kind? Free words stand only where a person is asked for some. */
export function textFits(kind: EventKind, text: string | null | undefined): boolean {
  if (text === null || text === undefined || text === '') return true;
  switch (textOf[kind]) {
    case 'none':
      return false;
    case 'call':
      return part.test(text) || calls.has(text);
    case 'name':
      return name.test(text);
    case 'phrase':
      return phrase.test(text);
    case 'words':
    case 'record':
      return true;
  }
}

/** What stands where an answer stood: an answer beside a mark is never empty. */
export const unanswered = 'Not kept: –';

/** The text of an event without anything a person wrote: what stays of a child who was removed for good. */
export function wordless(kind: EventKind, text: string | null): string | null {
  if (!text || (textOf[kind] !== 'words' && textFits(kind, text))) return text;
  return kind === 'beside' ? unanswered : '';
}
