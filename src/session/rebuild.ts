import { leastLapS } from '@/core/counting/doubtful';
import { forEverybody } from '@/core/counting/conditions';
import type { TouchEvent } from '@/core/counting/event';
import { tally, type Attempt } from '@/core/counting/tally';
import { groupBy } from '@/core/group-by';
import { ageBandOf } from '@/drills/age-band';
import type { Begun } from './begun';
import { ladderFor, type Held, type HeldStep } from './held';
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
    const leastS = leastLapS(marksOfLaps(record, ladder, playerId));
    return tally([...forAll, ...own], step.measure, leastS).attempts.map((attempt) => {
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
        ...{ number, result, touches, drops, startedMs, gaps, touchingMs, reported, origin },
        eased: easedOnCourt(record.changes, conditions),
        fixed: fixed !== null,
        doubtful,
        feed: conditions.feed,
        ball: conditions.ball,
        home: record.held.home === true,
        otherHand: otherHandOnCourt(record.changes, conditions),
      };
    });
  });
}

/** The marks of a ladder's laps at a player's age; those of all ages there were, where it is not known. */
const marksOfLaps = ({ held }: WholeRecord, ladder: readonly HeldStep[], playerId: string): number[] =>
  ladder.flatMap(({ measure, marks }) => {
    if (measure !== 'lap') return [];
    const age = held.ages[playerId];
    const own = age === undefined ? undefined : marks[ageBandOf(age)];
    return (own ? [own] : Object.values(marks)).map(({ result }) => result);
  });

/** The step a player worked on when the block was begun; the block's own for who came later. */
function stepOf(record: WholeRecord, playerId: string): HeldStep | undefined {
  const ladder = ladderFor(record.held, playerId);
  const own = record.players.find((one) => one.playerId === playerId)?.stepId;
  const shared = ladder.find((one) => one.id === record.stepId);
  return ladder.find((one) => one.id === own && one.measure === shared?.measure) ?? shared;
}
