import { BounceSpread } from './bounce-spread';
import type { TouchEvent } from './event';
import { liveEvents } from './live';
import { better, measures, type Measure } from './measure';

/** One try at a step: a row up to its drop, a time box, a set, a lap. */
export interface Attempt {
  /** From 1, in the order done. */
  readonly number: number;
  /** Null when it was dropped before there was anything to measure (a lap given up, a catch missed). */
  readonly result: number | null;
  readonly touches: number;
  readonly drops: number;
  readonly startedMs: number;
  readonly endedMs: number;
  /** Milliseconds between its touches, waits after a drop left out: what a rate is made of. */
  readonly touchingMs: number;
  /** A row that no drop has ended yet. */
  readonly open: boolean;
}

/** What one player did in one block. */
export interface Tally extends Summary {
  readonly attempts: readonly Attempt[];
  /** The running row or round, or the last single result; 0 before the first. */
  readonly current: number;
  /** Sum of zone points. */
  readonly score: number;
  /** Shots taken: zone marks, misses included. */
  readonly shots: number;
}

interface Draft {
  round: number;
  result: number | null;
  touches: number;
  drops: number;
  startedMs: number;
  endedMs: number;
  touchingMs: number;
  open: boolean;
}

/**
 * The one reducer of the log: events of one player in one block to attempts, bests, totals, rate and score.
 * Any order of arrival, any duplicates and any undos give the same tally (see {@link liveEvents});
 * a drop that comes last never lowers a best.
 */
export function tally(events: Iterable<TouchEvent>, measure: Measure): Tally {
  const drafts: Draft[] = [];
  let score = 0;
  let shots = 0;
  const spreads = new Map<Draft, BounceSpread>();
  const scored = measure === 'points' || measure === 'grade';

  for (const event of liveEvents(events)) {
    if (event.playerId === null) continue;
    const draft = draftFor(drafts, event, measure);
    const gap = event.atMs - draft.endedMs;
    draft.endedMs = Math.max(draft.endedMs, event.atMs);
    const value = event.value ?? 0;
    if (scored) {
      shots += 1;
      score += value;
      draft.result = (draft.result ?? 0) + value;
    }
    if (event.kind === 'drop' || (scored && value <= 0)) {
      draft.drops += 1;
      spreads.get(draft)?.drop();
      if (measure === 'row') draft.open = false;
      // A hold that was lost counts for as long as it lasted.
      if (measure === 'hold') draft.result = value;
      continue;
    }
    if (draft.touches > 0 && gap > 0) draft.touchingMs += gap;
    draft.touches += 1;
    if (measure === 'steadiness') {
      const spread = spreads.get(draft) ?? new BounceSpread();
      spreads.set(draft, spread);
      spread.touch(event.atMs);
      draft.result = spread.spreadCm();
    } else if (!scored) draft.result = event.kind === 'touch' ? (draft.result ?? 0) + 1 : value;
  }
  const last = drafts.at(-1);
  return {
    ...summaryOf(drafts, measure),
    attempts: drafts.map(({ round: _round, ...draft }, index) => ({ number: index + 1, ...draft })),
    current: last && (measure !== 'row' || last.open) ? (last.result ?? 0) : 0,
    score,
    shots,
  };
}

/** The attempt an event belongs to: the last one, or a new one. */
function draftFor(drafts: Draft[], event: TouchEvent, measure: Measure): Draft {
  const { gathering } = measures[measure];
  const found =
    gathering === 'round'
      ? drafts.find((draft) => draft.round === event.attempt)
      : gathering === 'row' && drafts.at(-1)?.open && drafts.at(-1)?.round === event.attempt
        ? drafts.at(-1)
        : undefined;
  if (found) return found;
  const last = drafts.at(-1);
  if (last) last.open = false;
  const draft: Draft = {
    round: event.attempt,
    result: gathering === 'single' || measure === 'steadiness' ? null : 0,
    touches: 0,
    drops: 0,
    startedMs: event.atMs,
    endedMs: event.atMs,
    open: gathering !== 'single',
    touchingMs: 0,
  };
  drafts.push(draft);
  return draft;
}

/** What the attempts of one player in one block amount to. */
export interface Summary {
  /** Best result of all attempts; null when there is none yet. */
  readonly best: number | null;
  /** All successful touches, over all attempts. */
  readonly touches: number;
  readonly drops: number;
  /** Touches a minute while touching (gaps inside attempts only); null with fewer than two touches. */
  readonly ratePerMin: number | null;
}

/** Sums attempts up; it needs no more than is kept of them. */
export function summaryOf(
  attempts: readonly Pick<Attempt, 'result' | 'touches' | 'drops' | 'touchingMs'>[],
  measure: Measure,
): Summary {
  let best: number | null = null;
  let touches = 0;
  let drops = 0;
  let touchingMs = 0;
  let gaps = 0;
  for (const attempt of attempts) {
    best = better(measure, best, attempt.result);
    touches += attempt.touches;
    drops += attempt.drops;
    touchingMs += attempt.touchingMs;
    gaps += Math.max(0, attempt.touches - 1);
  }
  const ratePerMin = gaps > 0 && touchingMs > 0 ? (gaps * 60_000) / touchingMs : null;
  return { best, touches, drops, ratePerMin };
}
