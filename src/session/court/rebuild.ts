import { forEverybody } from '@/core/counting/conditions';
import type { TouchEvent } from '@/core/counting/event';
import { triesOf } from '@/core/counting/limits';
import { tally, type Attempt } from '@/core/counting/tally';
import { groupBy } from '@/core/base/group-by';
import type { Begun } from './begun';
import { ladderFor, type Held, type HeldStep } from '../base/held';
import { limitsOfRecord } from './limits';
import { easedOnCourt, otherHandOnCourt } from './on-court';

/** A record that says all that results are made of. */
export type WholeRecord = Begun & { readonly held: Held };

/** One attempt of a player in a block, on the step it was made on, counted as that step was measured then. */
export interface HeldAttempt extends Pick<
  Attempt,
  'number' | 'result' | 'touches' | 'drops' | 'startedMs' | 'gaps' | 'touchingMs' | 'reported' | 'origin'
> {
  readonly playerId: string;
  readonly drillId: string;
  readonly stepId: string;
  /** Local ISO. */
  readonly day: string;
  /** Made under an easing: it stands for no best and no mark. */
  readonly eased: boolean;
  /** Put right afterwards. */
  readonly fixed: boolean;
  /** Shorter than a lap can be: without a result until the coach confirms it or puts it right. */
  readonly doubtful: boolean;
  /** How the ball came, and which one, where that was changed on court. */
  readonly feed: string | null;
  readonly ball: string | null;
  /** Made at home, for a vow. */
  readonly home: boolean;
  readonly otherHand: boolean;
}

/**
 * Everybody's attempts in a block, from its log alone: its record says what was counted, and its events what happened.
 * The drills as they are now are not asked, so that changing one changes nothing that was done.
 * @param record what the block was held under; the last one that stands in its log
 * @param events all events of the block
 */
export function attemptsOf(record: WholeRecord, events: readonly TouchEvent[]): HeldAttempt[] {
  // What was adjusted for everybody in the block is part of each player's own log.
  const forAll = forEverybody(events);
  return [...groupBy(events, (event) => event.playerId)].flatMap(([playerId, own]) => {
    const step = playerId === null ? undefined : stepOf(record, playerId);
    if (playerId === null || !step) return [];
    const ladder = ladderFor(record.held, playerId);
    return tally([...forAll, ...own], step.measure, limitsOfRecord(record, playerId, step)).attempts.map(
      (attempt) => {
        const { number, touches, drops, startedMs, gaps, touchingMs } = attempt;
        const { reported, origin, fixed, conditions, doubtful } = attempt;
        // What nobody has confirmed stands for nothing, wherever results are asked for.
        const result = doubtful ? null : attempt.result;
        const moved = ladder.find((one) => one.id === conditions.stepId);
        return {
          playerId,
          drillId: record.drillId,
          stepId: (moved ?? step).id,
          day: record.held.day,
          number,
          result,
          touches,
          drops,
          startedMs,
          gaps,
          touchingMs,
          reported,
          origin,
          eased: easedOnCourt(record.changes, conditions),
          fixed: fixed !== null,
          doubtful,
          feed: conditions.feed,
          ball: conditions.ball,
          home: record.held.home === true,
          otherHand: otherHandOnCourt(record.changes, conditions),
        };
      },
    );
  });
}

/**
 * Counts in a block that have no place there, by their ids, and why: more than the dose has, a zone that is not there, a
 * typed result that cannot be.
 */
export function strangeCounts(record: Begun, events: readonly TouchEvent[]): Map<string, string> {
  const forAll = forEverybody(events);
  const found = new Map<string, string>();
  for (const [playerId, own] of groupBy(events, (event) => event.playerId)) {
    const { held } = record;
    const step = playerId === null || !held ? undefined : stepOf({ ...record, held }, playerId);
    if (playerId === null || !step) continue;
    const { attempts, surplus } = tally(
      [...forAll, ...own],
      step.measure,
      limitsOfRecord(record, playerId, step),
    );
    for (const id of surplus)
      found.set(id, 'is one more than the dose has, or names a zone that is not there');
    for (const { eventId, doubtful, reported } of attempts)
      if (doubtful && reported && step.measure !== 'lap')
        found.set(eventId, 'is more than one attempt can be');
  }
  return found;
}

/** Does a block set an end to what is counted in it, or say what its zones are worth? */
export const hasLimits = ({ dose, scoring }: Begun): boolean =>
  Number.isFinite(triesOf(dose)) || dose.kind === 'hold' || Object.keys(scoring.zones).length > 0;

/** The step a player worked on when the block was begun; the block's own for who came later. */
function stepOf(record: WholeRecord, playerId: string): HeldStep | undefined {
  const ladder = ladderFor(record.held, playerId);
  const own = record.players.find((one) => one.playerId === playerId)?.stepId;
  const shared = ladder.find((one) => one.id === record.stepId);
  return ladder.find((one) => one.id === own && one.measure === shared?.measure) ?? shared;
}
