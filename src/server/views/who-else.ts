import type { Sport } from '@/drills/base/types';
import { playersOfSessions } from '@/data/session';
import { getPlayers, listPlayers } from '@/data/squad';
import type { Context } from '../base/context';
import { playerName, type PlayerName } from '../readers/player-facts';

/** Who could still join a session. */
export interface WhoElse {
  /** Everybody of the squad who is not on its list. */
  readonly others: readonly PlayerName[];
  /** What the children on its list play: what a guest most likely plays. */
  readonly sport: Sport;
}

export async function whoElse({ db }: Context, sessionId: string): Promise<WhoElse> {
  const [squad, playersOf] = await Promise.all([listPlayers(db), playersOfSessions(db, [sessionId])]);
  const coming = playersOf.get(sessionId) ?? [];
  const [first] = await getPlayers(db, coming.slice(0, 1));
  return {
    others: squad.filter(({ id }) => !coming.includes(id)).map(playerName),
    sport: first?.sport ?? 'tennis',
  };
}
