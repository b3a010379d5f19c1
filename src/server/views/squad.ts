import { recentWork } from '@/data/results';
import { listPlayers } from '@/data/squad';
import { takenOff, type TakenOff } from '@/data/taken-off';
import type { Context } from '../context';
import { dayAfter } from '../days';
import { resultsReady } from '../log/results';
import { playerFacts, type PlayerFacts } from '../readers/player-facts';

export const squadDays = 28;

export interface SquadLine extends PlayerFacts {
  readonly sessions: number;
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
  const [players, work, gone] = await Promise.all([
    listPlayers(context.db),
    recentWork(context.db, dayAfter(context.today, -squadDays)),
    takenOff(context.db, 'player'),
  ]);
  const done = new Map(work.map((row) => [row.playerId, row]));
  return {
    year: Number(context.today.slice(0, 4)),
    takenOff: gone,
    players: players.map((player) => {
      const own = done.get(player.id);
      return {
        ...playerFacts(player, context.today),
        sessions: own?.sessions ?? 0,
        touches: own?.touches ?? 0,
        lastDay: own?.lastDay ?? null,
      };
    }),
  };
}
