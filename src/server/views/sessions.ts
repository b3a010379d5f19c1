import { blocksOfSessions, playersOfSessions, sessionsBefore, sessionsBetween } from '@/data/session';
import { getPlayers, listPlayers } from '@/data/squad';
import { takenOff, type TakenOff } from '@/data/taken-off';
import type { Context } from '../context';
import { playerName, type PlayerName } from '../readers/player-facts';
import { sessionFacts } from './session-facts';
import type { SessionLine } from './today';

export const sessionsAPage = 15;

export interface SessionsView {
  readonly today: string;
  readonly squad: readonly PlayerName[];
  readonly coming: readonly SessionLine[];
  readonly past: readonly SessionLine[];
  readonly page: number;
  readonly more: boolean;
  readonly takenOff: readonly TakenOff[];
}

/** All sessions: what is to come, and what has been, page by page. */
export async function sessionsView(context: Context, page: number): Promise<SessionsView> {
  const { db, today } = context;
  const [squad, coming, past, gone] = await Promise.all([
    listPlayers(db),
    sessionsBetween(db, today, '9999-12-31'),
    sessionsBefore(db, today, sessionsAPage + 1, page * sessionsAPage),
    takenOff(db, 'session'),
  ]);
  const all = [...coming, ...past.slice(0, sessionsAPage)];
  const ids = all.map((session) => session.id);
  const [playersOf, blocks] = await Promise.all([playersOfSessions(db, ids), blocksOfSessions(db, ids)]);
  const players = await getPlayers(db, [...new Set([...playersOf.values()].flat())]);
  const names = new Map(players.map((player) => [player.id, player.name]));
  const lines = all.map<SessionLine>((session) => ({
    ...sessionFacts(session),
    players: (playersOf.get(session.id) ?? []).map((id) => names.get(id) ?? ''),
    blockCount: blocks.filter((block) => block.sessionId === session.id).length,
  }));
  return {
    today,
    squad: squad.map(playerName),
    coming: lines.slice(0, coming.length),
    past: lines.slice(coming.length),
    page,
    more: past.length > sessionsAPage,
    takenOff: gone,
  };
}
