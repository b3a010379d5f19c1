import { BounceSpread, earMs } from './bounce-spread';
import { WeakestPart } from './weakest-part';
import { adjusted, asPlanned, isAdjustment, type Conditions } from './conditions';
import { isDoubtful } from './doubtful';
import { isSurplus, noLimits, type AttemptLimits } from './limits';
import { ruleOf, type CountKind, type TouchEvent } from './event';
import { liveEvents } from './live';
import { touchesOf } from './pass';
import { better, inParts, measures, type Measure } from './measure';
import { isHeard } from './origin';

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
  /** Gaps from one touch to the next, waits after a drop left out, and the milliseconds they took: what a rate is made of. */
  readonly gaps: number;
  readonly touchingMs: number;
  /** A row that no drop has ended yet. */
  readonly open: boolean;
  /** Done as a whole and not counted: it has no result. */
  readonly whole: boolean;
  /** Said as a whole, not touch by touch: counted aloud and typed in, or read from a clip (see origin). */
  readonly reported: boolean;
  /** How it was counted, where not by finger or word: by ear, from a clip; that of its first mark. */
  readonly origin: string | null;
  /** The last correction of its result; null when there is none. */
  readonly fixed: Fix | null;
  /** What it was made under. */
  readonly conditions: Conditions;
  /** An event of it: what a correction names. */
  readonly eventId: string;
  /** Shorter than it can be: it stands for nothing until the coach confirms it or puts it right (see ./doubtful). */
  readonly doubtful: boolean;
}

/** A result put right afterwards: by whom (null: the coach) and when. */
export interface Fix {
  readonly value: number;
  readonly by: string | null;
  readonly atMs: number;
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
  /** What the next attempt is made under. */
  readonly conditions: Conditions;
  /** Marks that had no place in their attempt, by their ids: they count nothing. */
  readonly surplus: readonly string[];
}

interface Draft {
  round: number;
  result: number | null;
  touches: number;
  drops: number;
  startedMs: number;
  endedMs: number;
  gaps: number;
  touchingMs: number;
  /** True from a drop to the next touch: what lies between is no gap. */
  waiting: boolean;
  open: boolean;
  whole: boolean;
  reported: boolean;
  origin: string | null;
  fixed: Fix | null;
  /** The result it had when it was put right: what comes after that counts on. */
  fixedAt: number;
  /** Marks that have found their place in it. */
  tries: number;
  limits: AttemptLimits;
  conditions: Conditions;
  eventId: string;
}

/**
 * The one reducer of the log: events of one player in one block (and of the whole block, where they adjust it) to
 * attempts, bests, totals, rate and score. Any order of arrival, any duplicates and any undos give the same tally (see
 * {@link liveEvents}); a drop that comes last never lowers a best. An adjustment closes the running attempt, so that
 * no attempt is made under two conditions.
 * @param limitsUnder what an attempt can be under some conditions: marks that have no place in it are passed over, and a
 *   result that cannot be is doubtful and no best
 */
export function tally(
  events: Iterable<TouchEvent>,
  measure: Measure,
  limitsUnder: (conditions: Conditions) => AttemptLimits = () => noLimits,
): Tally {
  const drafts: Draft[] = [];
  const draftOf = new Map<string, Draft>();
  const spreads = new Map<Draft, BounceSpread>();
  const weakest = new Map<Draft, WeakestPart>();
  const scored = measure === 'points' || measure === 'grade';
  let conditions = asPlanned;
  let limits = limitsUnder(conditions);
  let score = 0;
  let shots = 0;
  const surplus: string[] = [];
  for (const event of liveEvents(events)) {
    if (isAdjustment(event)) {
      const next = adjusted(conditions, event);
      const last = drafts.at(-1);
      if (next !== conditions && last) last.open = false;
      if (next !== conditions) limits = limitsUnder(next);
      conditions = next;
      continue;
    }
    if (event.playerId === null) continue;
    if (event.kind === 'fix') {
      const draft = event.ref === null ? undefined : draftOf.get(event.ref);
      if (draft) {
        draft.fixed = { value: event.value ?? 0, by: event.by ?? null, atMs: event.atMs };
        draft.fixedAt = draft.result ?? 0;
      }
      continue;
    }
    const { count: rule } = ruleOf(event.kind);
    if (!rule) continue;
    const draft = draftFor(drafts, event, measure, conditions);
    if (isSurplus(limits, { kind: event.kind as CountKind, value: event.value, tries: draft.tries })) {
      // One that was made for it alone is none.
      if (draft.tries === 0) drafts.pop();
      surplus.push(event.id);
      continue;
    }
    draft.limits = limits;
    draft.tries += 1;
    draftOf.set(event.id, draft);
    const gap = event.atMs - draft.endedMs;
    draft.endedMs = Math.max(draft.endedMs, event.atMs);
    const value = event.value ?? 0;
    if (rule.of === 'dose') {
      draft.touches = value;
      continue;
    }
    if (rule.of === 'attempt') {
      takeReport(draft, value, measure);
      if (scored) score += value;
      continue;
    }
    if (scored) {
      shots += 1;
      score += value;
      draft.result = (draft.result ?? 0) + value;
    }
    if (rule.success === 'no' || (scored && value <= 0)) {
      draft.drops += 1;
      draft.waiting = true;
      spreads.get(draft)?.drop();
      if (measure === 'row') draft.open = false;
      // A hold that was lost counts for as long as it lasted.
      if (measure === 'hold') draft.result = value;
      continue;
    }
    if (measure === 'laps' && event.value !== null) {
      // A part of a lap: how fast laps come is for whole ones.
      draft.result = inParts((draft.result ?? 0) + value);
      draft.touches = Math.floor(draft.result);
      draft.waiting = false;
      continue;
    }
    // Where no strokes are counted in a time, a touch is a touch.
    const many = measure === 'count' ? touchesOf(event) : 1;
    if (draft.touches > 0 && !draft.waiting) {
      draft.gaps += many;
      draft.touchingMs += Math.max(0, gap);
    }
    draft.waiting = false;
    draft.touches += many;
    if (measure === 'weakest part') {
      const parts = weakest.get(draft) ?? new WeakestPart();
      weakest.set(draft, parts);
      draft.result = parts.touch(event.text ?? null);
    } else if (measure === 'steadiness') {
      const spread = spreads.get(draft) ?? new BounceSpread(isHeard(draft.origin) ? earMs : undefined);
      spreads.set(draft, spread);
      spread.touch(event.atMs);
      draft.result = spread.spreadCm();
    } else if (!scored) draft.result = rule.result === 'adds up' ? (draft.result ?? 0) + many : value;
  }
  for (const draft of drafts) score += putRight(draft, measure, scored);
  const attempts = drafts.map(
    ({ round: _round, waiting: _waiting, fixedAt: _at, tries: _tries, limits, ...draft }, index) => ({
      number: index + 1,
      ...draft,
      doubtful: isDoubtful(measure, { result: draft.result, fixed: draft.fixed !== null }, limits),
    }),
  );
  const last = drafts.at(-1);
  const runs = last && last.conditions === conditions && (measure !== 'row' || last.open);
  return {
    ...summaryOf(attempts, measure),
    attempts,
    current: runs ? (last.result ?? 0) : 0,
    score,
    shots,
    conditions,
    surplus,
  };
}

/** Measures in which the result is a number of good touches. */
const countsTouches = (measure: Measure): boolean =>
  measure === 'row' || measure === 'count' || measure === 'reps' || measure === 'laps';

/** A result that was called out. A row that was counted aloud ended with a drop, as rows do. */
function takeReport(draft: Draft, value: number, measure: Measure): void {
  draft.result = value;
  draft.reported = true;
  draft.open = false;
  if (countsTouches(measure)) draft.touches = value;
  else if (measure === 'hold' || measure === 'lap') draft.touches = 1;
  if (measure === 'row') draft.drops = 1;
}

/**
 * Puts a corrected result in; what was counted after the correction is added to it, so that a running row goes on.
 * Returns by how much the score changes.
 */
function putRight(draft: Draft, measure: Measure, scored: boolean): number {
  if (!draft.fixed) return 0;
  const before = draft.result ?? 0;
  const since = countsTouches(measure) || scored ? before - draft.fixedAt : 0;
  draft.result = draft.fixed.value + since;
  if (countsTouches(measure)) draft.touches = draft.result;
  return scored ? draft.result - before : 0;
}

/** The attempt an event belongs to: the last one, or a new one. A report is always a new one. */
function draftFor(drafts: Draft[], event: TouchEvent, measure: Measure, conditions: Conditions): Draft {
  const { gathering } = measures[measure];
  const last = drafts.at(-1);
  const same = (draft: Draft) =>
    draft.round === event.attempt &&
    draft.conditions === conditions &&
    !draft.reported &&
    !draft.whole &&
    // What was heard and what was tapped are two counts of it, never one.
    draft.origin === (event.origin ?? null);
  const whole = event.kind === 'done';
  const found =
    event.kind === 'result' || whole
      ? undefined
      : gathering === 'round'
        ? drafts.find(same)
        : gathering === 'row' && last?.open && same(last)
          ? last
          : undefined;
  if (found) return found;
  if (last) last.open = false;
  const draft: Draft = {
    round: event.attempt,
    result: gathering === 'single' || measure === 'steadiness' || whole ? null : 0,
    touches: 0,
    drops: 0,
    startedMs: event.atMs,
    endedMs: event.atMs,
    open: gathering !== 'single' && !whole,
    whole,
    gaps: 0,
    touchingMs: 0,
    waiting: false,
    reported: false,
    origin: event.origin ?? null,
    fixed: null,
    fixedAt: 0,
    tries: 0,
    limits: noLimits,
    conditions,
    eventId: event.id,
  };
  drafts.push(draft);
  return draft;
}

/** A rate of less time than this says nothing, milliseconds. Ours. */
const shortestRateMs = 2000;

/** What the attempts of one player in one block amount to. */
export interface Summary {
  /** Best result of all attempts; null when there is none yet. */
  readonly best: number | null;
  /** All successful touches, over all attempts. */
  readonly touches: number;
  readonly drops: number;
  /** Gaps between touches, waits after drops left out, and the milliseconds they took together. */
  readonly gaps: number;
  readonly touchingMs: number;
  /** Touches a minute while touching; null where less than two seconds were measured. */
  readonly ratePerMin: number | null;
}

/** Sums attempts up; it needs no more than is kept of them. */
export function summaryOf(
  attempts: readonly Pick<Attempt, 'result' | 'touches' | 'drops' | 'gaps' | 'touchingMs' | 'doubtful'>[],
  measure: Measure,
): Summary {
  let best: number | null = null;
  let touches = 0;
  let drops = 0;
  let touchingMs = 0;
  let gaps = 0;
  for (const attempt of attempts) {
    if (!attempt.doubtful) best = better(measure, best, attempt.result);
    touches += attempt.touches;
    drops += attempt.drops;
    touchingMs += attempt.touchingMs;
    gaps += attempt.gaps;
  }
  const ratePerMin = touchingMs >= shortestRateMs ? (gaps * 60_000) / touchingMs : null;
  return { best, touches, drops, gaps, touchingMs, ratePerMin };
}
