import type { Sureness } from '@/core/skill/transfer';
import type { Drill } from '@/drills/base/types';
import { doneTogether } from '../together';

/** What is known of a child that says which drills would help: from the ledger, the skill model and the log. */
export interface ChildFacts {
  readonly playerId: string;
  /** Drills that count towards what they work on now. */
  readonly focusDrills: readonly string[];
  /** The kind of ball least of what is known holds on, or nothing is counted on yet; null where none stands out. */
  readonly train: Sureness | null;
  /** What was done in the last weeks: days since, and the chance of the mark on a usual day (null: not known). */
  readonly ladders: readonly {
    readonly drillId: string;
    readonly daysAway: number;
    readonly chance: number | null;
  }[];
}

export const needWhys = [
  'asked',
  'focus',
  'mark near',
  'right hardness',
  'not done lately',
  'new',
  'train',
] as const;
export type NeedWhy = (typeof needWhys)[number];

/** One thing that makes a drill worth something to a child. */
export interface NeedPart {
  readonly why: NeedWhy;
  readonly worth: number;
}

/** What a drill is worth to a child who has no special need of it. All these numbers are ours. */
export const plainWorth = 0.2;
const worths: Readonly<Record<NeedWhy, number>> = {
  // A coach who names a drill for somebody knows more than the log.
  asked: 0.5,
  // One focus at a time: what counts towards it comes before everything the log says.
  focus: 0.35,
  'mark near': 0.2,
  'right hardness': 0.12,
  'not done lately': 0.15,
  new: 0.1,
  train: 0.15,
};
/** From this chance on a mark is near. */
const nearFrom = 0.4;
/** Where practice is as hard as it should be: the usual band of the sweet spot, a little wider. */
const hardness = [0.55, 0.85] as const;
/** Not done for so many days is as good as not at all. */
const longAgo = 21;

/** How much more a thing counts; 1 as usual. */
export type NeedWeights = Partial<Readonly<Record<NeedWhy, number>>>;

/** What a drill is worth to a child beside {@link plainWorth}, part by part. */
export function needOf(
  drill: Drill,
  facts: ChildFacts | undefined,
  asked: boolean,
  weights: NeedWeights = {},
): NeedPart[] {
  const parts: NeedPart[] = [];
  const add = (why: NeedWhy, share = 1) =>
    parts.push({ why, worth: worths[why] * share * (weights[why] ?? 1) });
  if (asked) add('asked');
  if (!facts) return parts;
  if (facts.focusDrills.includes(drill.id)) add('focus');
  const done = facts.ladders.find((one) => one.drillId === drill.id);
  // What all do together is not counted, so the log does not say whether it is new.
  if (!done) {
    if (!drill.steps.every((step) => doneTogether(drill, step))) add('new');
  } else {
    if (done.chance !== null && done.chance >= nearFrom) add('mark near', done.chance);
    if (done.chance !== null && done.chance >= hardness[0] && done.chance <= hardness[1])
      add('right hardness');
    if (done.daysAway > 7) add('not done lately', Math.min(1, done.daysAway / longAgo));
  }
  if (facts.train !== null && facts.train !== 'known' && drill.feed.predictability === facts.train)
    add('train');
  return parts;
}
