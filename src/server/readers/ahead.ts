import { playersOfSessions, sessionsBetween } from '@/data/session';
import type { Executor } from '@/data/database';
import { horizonDays } from '@/session/skill/progress';
import { dayNumber } from '@/core/base/days';
import { dayAfter } from '../base/days';
import { plannedBlocks } from './blocks';
import { promisedAhead } from './vows';

/**
 * On which days to come each player can show a mark of each drill, as it is planned, and promised where what is done at home
 * shows one: days as the log counts them, in order.
 */
export async function daysPlanned(
  db: Executor,
  today: string,
): Promise<(playerId: string, drillId: string, homeToo: boolean) => readonly number[]> {
  const sessions = (await sessionsBetween(db, dayAfter(today, 1), dayAfter(today, horizonDays))).filter(
    ({ state }) => state === 'planned',
  );
  const ids = sessions.map(({ id }) => id);
  const [players, blocks, vows] = await Promise.all([
    playersOfSessions(db, ids),
    plannedBlocks(db, ids),
    promisedAhead(db, today),
  ]);
  return (playerId, drillId, homeToo) =>
    [
      ...new Set([
        ...vows
          .filter((one) => homeToo && one.playerId === playerId && one.drillIds.includes(drillId))
          .flatMap((one) => one.days),
        ...sessions
          .filter(({ id }) => players.get(id)?.includes(playerId))
          .filter(({ id }) =>
            blocks.some(
              (block) =>
                block.sessionId === id &&
                block.drillId === drillId &&
                !block.own.some((own) => own.playerId === playerId && own.out),
            ),
          )
          .map(({ day }) => dayNumber(day)),
      ]),
    ].sort((a, b) => a - b);
}
