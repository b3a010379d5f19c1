import { playersOfSessions, sessionsBetween } from '@/data/session';
import type { Executor } from '@/data/database';
import { horizonDays } from '@/session/progress';
import { dayNumber } from '@/session/levels';
import { dayAfter } from '../days';
import { plannedBlocks } from './blocks';

/** On which days to come each player is to practise each drill, as it is planned: days as the log counts them, in order. */
export async function daysPlanned(
  db: Executor,
  today: string,
): Promise<(playerId: string, drillId: string) => readonly number[]> {
  const sessions = (await sessionsBetween(db, dayAfter(today, 1), dayAfter(today, horizonDays))).filter(
    ({ state }) => state === 'planned',
  );
  const ids = sessions.map(({ id }) => id);
  const [players, blocks] = await Promise.all([playersOfSessions(db, ids), plannedBlocks(db, ids)]);
  return (playerId, drillId) => [
    ...new Set(
      sessions
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
    ),
  ];
}
