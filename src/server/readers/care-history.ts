import { differenceInCalendarDays, parseISO } from 'date-fns';
import type { Book } from '@/drills';
import { limitKey } from '@/session/evaluate';
import type { CarePlayer } from '@/core/care/care';
import { addLoads, loadOf, noLoadSum } from '@/core/dose/load';
import type { Executor } from '@/data/database';
import { lastDays, triesBetween } from '@/data/results';
import { dayAfter } from '../days';
import { allSteps } from './records';

const weekDays = 6;

/** What players did in the days before a session: the load of a week, and when limited steps were last done. */
export async function careHistory(
  db: Executor,
  book: Book,
  playerIds: readonly string[],
  session: { readonly day: string },
): Promise<Record<string, Pick<CarePlayer, 'weekLoad' | 'lastDone'>>> {
  const limited = allSteps(book).filter(({ drillId, stepId }) => book.step(drillId, stepId)!.limit);
  const [week, last] = await Promise.all([
    triesBetween(db, playerIds, dayAfter(session.day, -weekDays), dayAfter(session.day, -1)),
    lastDays(db, playerIds, limited, session.day),
  ]);
  const history = Object.fromEntries(
    playerIds.map((id) => [id, { weekLoad: noLoadSum, lastDone: {} as Record<string, number> }]),
  );
  for (const { playerId, drillId, stepId, tries } of week) {
    const step = book.step(drillId, stepId);
    const own = history[playerId];
    if (step && own) own.weekLoad = addLoads(own.weekLoad, loadOf(step.load, tries));
  }
  for (const { playerId, drillId, stepId, day } of last) {
    const ago = differenceInCalendarDays(parseISO(session.day), parseISO(day));
    history[playerId]!.lastDone[limitKey(drillId, stepId)] = ago;
  }
  return history;
}
