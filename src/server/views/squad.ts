import { recentWork } from '@/data/results';
import { attendedSince } from '@/data/session';
import { listPlayers } from '@/data/squad';
import { takenOff, type TakenOff } from '@/data/taken-off';
import type { Context } from '../context';
import { dayAfter } from '../days';
import { resultsReady } from '../log/results';
import { playerFacts, type PlayerFacts } from '../readers/player-facts';

export const squadDays = 28;

export interface SquadLine extends PlayerFacts {
  /** Sessions they were at, as the coach said. */
  readonly sessions: number;
  /** Days with counts. */
  readonly days: number;
  readonly touches: number;
  readonly lastDay: string | null;
}

export interface SquadView {
  readonly players: readonly SquadLine[];
  readonly year: number;
  readonly takenOff: readonly TakenOff[];
}

/** Everybody on the squad, with what they did in the last four weeks. */
export async function squadView(context: Context): Promise<SquadView> {
  await resultsReady(context.db);
  const since = dayAfter(context.today, -squadDays);
  const [players, work, attended, gone] = await Promise.all([
    listPlayers(context.db),
    recentWork(context.db, since),
    attendedSince(context.db, since),
    takenOff(context.db, 'player'),
  ]);
  const done = new Map(work.map((row) => [row.playerId, row]));
  const there = new Map(attended.map((row) => [row.playerId, row.sessions]));
  return {
    year: Number(context.today.slice(0, 4)),
    takenOff: gone,
    players: players.map((player) => {
      const own = done.get(player.id);
      return {
        ...playerFacts(player, context.today),
        sessions: there.get(player.id) ?? 0,
        days: own?.days ?? 0,
        touches: own?.touches ?? 0,
        lastDay: own?.lastDay ?? null,
      };
    }),
  };
}
