import { ruleOf, type AdjustKind, type TouchEvent } from './event';
import { liveEvents } from './live';

/** What a count is made under, where it differs from the plan. */
export interface Conditions {
  /** The step worked on; null: as planned. */
  readonly stepId: string | null;
  /** True when the player picked the step. */
  readonly picked: boolean;
  /** Spices and easings put on, and planned ones taken off. */
  readonly on: readonly string[];
  readonly off: readonly string[];
  /** True for a shorter dose of the same shape. */
  readonly breathless: boolean;
  /** The ball by its stage, and how the feed comes; null: as planned. */
  readonly ball: string | null;
  readonly feed: string | null;
  /** True when that ball is softer and slower than the player's own: such a count is easier. */
  readonly softerBall: boolean;
}

export const asPlanned: Conditions = {
  stepId: null,
  picked: false,
  on: [],
  off: [],
  breathless: false,
  ball: null,
  feed: null,
  softerBall: false,
};

export type Adjustment = TouchEvent & { readonly kind: AdjustKind };
export const isAdjustment = (event: TouchEvent): event is Adjustment => ruleOf(event.kind).group === 'adjust';

const without = (names: readonly string[], name: string): readonly string[] =>
  names.includes(name) ? names.filter((one) => one !== name) : names;
const withName = (names: readonly string[], name: string): readonly string[] =>
  names.includes(name) ? names : [...names, name];

/** The conditions after one more event; the very same object when it changes nothing. */
export function adjusted(now: Conditions, event: Adjustment): Conditions {
  const next = changedBy(now, event);
  return (Object.keys(now) as (keyof Conditions)[]).every((key) => now[key] === next[key]) ? now : next;
}

function changedBy(now: Conditions, { kind, text = null, value }: Adjustment): Conditions {
  switch (kind) {
    case 'step':
      return { ...now, stepId: text, picked: value === 1 };
    case 'change': {
      if (!text) return now;
      const put = value !== 0;
      // A planned change is taken off by name; putting it back on only ends that.
      if (put && now.off.includes(text)) return { ...now, off: without(now.off, text) };
      if (put) return { ...now, on: withName(now.on, text) };
      if (now.on.includes(text)) return { ...now, on: without(now.on, text) };
      return { ...now, off: withName(now.off, text) };
    }
    case 'breathless':
      return { ...now, breathless: value !== 0 };
    case 'ball':
      return { ...now, ball: text, softerBall: text !== null && value === 1 };
    case 'feed':
      return { ...now, feed: text };
  }
}

/** What the next attempt is made under, from the events of a player and of the whole block. */
export function conditionsNow(events: Iterable<TouchEvent>): Conditions {
  let now = asPlanned;
  for (const event of liveEvents(events)) if (isAdjustment(event)) now = adjusted(now, event);
  return now;
}

/** The changes of a block under some conditions. */
export const changesUnder = (planned: readonly string[], { on, off }: Conditions): string[] => [
  ...planned.filter((name) => !off.includes(name)),
  ...on.filter((name) => !planned.includes(name)),
];

/** The events of a block that adjust it for everybody, with what takes them back: they belong to each player's log. */
export const forEverybody = (blockEvents: readonly TouchEvent[]): TouchEvent[] =>
  blockEvents.filter((event) => event.playerId === null && (event.kind === 'undo' || isAdjustment(event)));
