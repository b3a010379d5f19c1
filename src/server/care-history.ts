import { differenceInCalendarDays, parseISO } from 'date-fns';
import type { Book } from '@/catalogue';
import { limitKey } from '@/catalogue/evaluate';
import type { CarePlayer } from '@/core/care/care';
import { addLoads, loadOf, noLoadSum } from '@/core/dose/load';
import type { Executor } from '@/data/client';
import { triesBetween } from '@/data/results';
import { dayAfter } from './days';

/** Days looked back for steps with days between: the longest gap any step asks for. */
const lookBackDays = 30;
const weekDays = 6;

/** What players did in the days before a session: the load of a week, and when limited steps were last done. */
export async function careHistory(
  db: Executor,
  book: Book,
  playerIds: readonly string[],
  session: { readonly day: string },
): Promise<Record<string, Pick<CarePlayer, 'weekLoad' | 'lastDone'>>> {
  const before = dayAfter(session.day, -1);
  const rows = await triesBetween(db, playerIds, dayAfter(session.day, -lookBackDays), before);
  const weekFrom = dayAfter(session.day, -weekDays);
  const history = Object.fromEntries(
    playerIds.map((id) => [id, { weekLoad: noLoadSum, lastDone: {} as Record<string, number> }]),
  );
  for (const { playerId, drillId, stepId, day, tries } of rows) {
    const step = book.step(drillId, stepId);
    const own = history[playerId];
    if (!step || !own) continue;
    if (day >= weekFrom) own.weekLoad = addLoads(own.weekLoad, loadOf(step.load, tries));
    if (!step.limit) continue;
    const ago = differenceInCalendarDays(parseISO(session.day), parseISO(day));
    const key = limitKey(drillId, stepId);
    own.lastDone[key] = Math.min(own.lastDone[key] ?? Infinity, ago);
  }
  return history;
}
