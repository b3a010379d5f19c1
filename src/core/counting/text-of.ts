import { callSets } from './call-sets';
import { acrosses, sides } from '../movement/sequence/shots';
import { ruleOf, type EventKind } from './event';

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
  switch (ruleOf(kind).text) {
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
  if (!text || (ruleOf(kind).text !== 'words' && textFits(kind, text))) return text;
  return kind === 'beside' ? unanswered : '';
}
