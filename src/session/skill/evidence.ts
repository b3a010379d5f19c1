import type { Gate, Judged, NextTarget } from '@/core/skill/next-target';

/** What a decision was made on. It is kept with the decision: counts may be put right, and marks change, afterwards. */
export interface DecidedOn {
  readonly mark: Gate;
  /** The best the dose allowed; null where it set no end. */
  readonly most: number | null;
  /** The best ever until then, in this session included; null when there was none. */
  readonly best: number | null;
  /** Recent days on which the mark was reached. */
  readonly reachedDays: number;
  /** The results of that day, in the order done. */
  readonly results: readonly (number | null)[];
  readonly proposed: Pick<NextTarget, 'verdict' | 'target'>;
}

/** What a decision is made on, from what is judged and what is proposed. */
export const decidedOn = (
  { gate, most, best, reachedDays }: Judged,
  { verdict, target }: NextTarget,
  results: readonly (number | null)[],
): DecidedOn => ({
  mark: gate,
  // There is no Infinity in JSON.
  most: Number.isFinite(most) ? most : null,
  best,
  reachedDays,
  results,
  proposed: { verdict, target },
});

/** Does what there is now differ from what was decided on? */
export const differs = (then: DecidedOn, now: DecidedOn): boolean =>
  then.best !== now.best ||
  then.reachedDays !== now.reachedDays ||
  then.mark.result !== now.mark.result ||
  then.mark.days !== now.mark.days ||
  then.results.join() !== now.results.join();

export const writeEvidence = (on: DecidedOn): string => JSON.stringify(on);

/** The evidence of a decision; null where none was kept. We wrote it ourselves. */
export const readEvidence = (text: string | null): DecidedOn | null =>
  text === null ? null : (JSON.parse(text) as DecidedOn);
