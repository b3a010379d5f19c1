import { coachesOf } from '@/data/session';
import { listPlayers } from '@/data/squad';
import type { Context } from '../base/context';
import { playerName, type PlayerName } from '../readers/player-facts';

export interface SchoolsView {
  /** Coaches by the name they stand under on sessions. */
  readonly coaches: readonly string[];
  readonly players: readonly PlayerName[];
}

export async function schoolsView({ db }: Context): Promise<SchoolsView> {
  const [coaches, players] = await Promise.all([coachesOf(db), listPlayers(db)]);
  return { coaches, players: players.map(playerName) };
}
