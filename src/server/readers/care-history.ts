import { differenceInCalendarDays, parseISO } from 'date-fns';
import type { Book } from '@/drills';
import { limitKey } from '@/session/plan/evaluate';
import { timePlan } from '@/session/plan/time-plan';
import type { CarePlayer } from '@/core/care/care';
import { addLoads, loadOf, noLoadSum, type LoadSum } from '@/core/dose/load';
import type { Executor } from '@/data/database';
import { lastDays, triesSince, type Besides } from '@/data/results';
import { loggedBlocks } from '@/data/log';
import { playersOfSessions, sessionsBetween } from '@/data/session';
import { dayAfter } from '../base/days';
import { runningVows } from '@/data/vows';
import { plannedBlocks } from './blocks';
import { daysDone, promisedDays, readVow } from './vows';
import { allSteps } from './records';

const weekDays = 6;

/** What the care rules know of a player's days. */
export type CareDays = Pick<CarePlayer, 'weekLoad' | 'dayLoad' | 'lastDone'>;

/**
 * What players do besides a session: the load of its day and of the six days before, and when limited steps were last
 * done. What was counted stands as it was counted; a session of the same day that is still only planned, and a vow of
 * it that nobody has begun, count as they are planned.
 */
export async function careHistory(
  db: Executor,
  book: Book,
  playerIds: readonly string[],
  session: Besides,
): Promise<Record<string, CareDays>> {
  const limited = allSteps(book).filter(({ drillId, stepId }) => book.step(drillId, stepId)!.limit);
  const [week, last, planned, promised] = await Promise.all([
    triesSince(db, playerIds, dayAfter(session.day, -weekDays), session),
    lastDays(db, playerIds, limited, session),
    plannedBesides(db, book, playerIds, session),
    promisedOn(db, book, playerIds, session.day),
  ]);
  const history = Object.fromEntries(
    playerIds.map((id) => [
      id,
      { weekLoad: noLoadSum, dayLoad: noLoadSum, lastDone: {} as Record<string, number> },
    ]),
  );
  const add = (playerId: string, day: string, load: LoadSum) => {
    const own = history[playerId];
    if (!own) return;
    own.weekLoad = addLoads(own.weekLoad, load);
    if (day === session.day) own.dayLoad = addLoads(own.dayLoad, load);
  };
  for (const { playerId, drillId, stepId, day, tries } of week) {
    const step = book.step(drillId, stepId);
    if (step) add(playerId, day, loadOf(step.load, tries));
  }
  for (const { playerId, load } of [...planned, ...promised]) add(playerId, session.day, load);
  for (const { playerId, drillId, stepId, day } of last) {
    const ago = differenceInCalendarDays(parseISO(session.day), parseISO(day));
    history[playerId]!.lastDone[limitKey(drillId, stepId)] = ago;
  }
  return history;
}

/** What is planned for players in other sessions of the day that nobody has begun. */
async function plannedBesides(
  db: Executor,
  book: Book,
  playerIds: readonly string[],
  { day, id: own }: Besides,
): Promise<{ readonly playerId: string; readonly load: LoadSum }[]> {
  const others = (await sessionsBetween(db, day, day)).filter(
    ({ id, state, notHeld }) => id !== own && state === 'planned' && notHeld === null,
  );
  if (others.length === 0) return [];
  const playersOf = await playersOfSessions(
    db,
    others.map(({ id }) => id),
  );
  const found = await Promise.all(
    others.map(async ({ id, bookedMin }) => {
      const coming = (playersOf.get(id) ?? []).filter((one) => playerIds.includes(one));
      if (coming.length === 0 || (await loggedBlocks(db, id)).length > 0) return [];
      const blocks = await plannedBlocks(db, [id]);
      // Amounts are each player's own; the age only sets how fast they are shown what to do.
      const players = coming.map((one) => ({ id: one, age: typicalAge }));
      return timePlan(book, blocks, players, [], bookedMin).blocks.flatMap(({ loadOf: loads }) =>
        Object.entries(loads).map(([playerId, load]) => ({ playerId, load })),
      );
    }),
  );
  return found.flat();
}

/** What players promised to do at home on a day, and have not begun. */
async function promisedOn(
  db: Executor,
  book: Book,
  playerIds: readonly string[],
  day: string,
): Promise<readonly { readonly playerId: string; readonly load: LoadSum }[]> {
  const running = (await runningVows(db, playerIds, day)).map(readVow).filter((one) => one.fromDay <= day);
  if (running.length === 0) return [];
  const days = await daysDone(db, running);
  return running.flatMap((one) => {
    const own = new Map([
      [one.id, (days.get(one.id) ?? []).filter((on) => on.day === day && on.share === 0)],
    ]);
    return promisedDays(book, { id: one.playerId, age: typicalAge }, [], [one], own, day).map(({ load }) => ({
      playerId: one.playerId,
      load,
    }));
  });
}

const typicalAge = 10;
