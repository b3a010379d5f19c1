import {
  blocksOfSessions,
  playersOfSessions,
  sessionsBefore,
  sessionsBetween,
  sessionsUnsaid,
} from '@/data/session';
import { getPlayers, listPlayers } from '@/data/squad';
import { takenOff, type TakenOff } from '@/data/taken-off';
import { noFilter, type Filter } from '@/core/base/filter';
import type { Context } from '../base/context';
import { asked, filterChoices, type FilterChoices } from '../readers/filters';
import { playerName, type PlayerName } from '../readers/player-facts';
import { patternsView, type Pattern } from '../readers/patterns';
import { sessionFacts } from './session-facts';
import type { SessionLine } from './today';

export const sessionsAPage = 15;

export interface SessionsView {
  readonly today: string;
  readonly squad: readonly PlayerName[];
  readonly coming: readonly SessionLine[];
  /** Sessions whose day is over and which nobody has run. */
  readonly unsaid: readonly SessionLine[];
  readonly past: readonly SessionLine[];
  readonly page: number;
  readonly more: boolean;
  readonly takenOff: readonly TakenOff[];
  readonly patterns: readonly Pattern[];
  readonly filter: Filter;
  readonly choices: FilterChoices;
}

/** All sessions: what is to come, and what has been, page by page. */
export async function sessionsView(
  context: Context,
  page: number,
  filter: Filter = noFilter,
): Promise<SessionsView> {
  const { db, today, firstDay } = context;
  const narrow = asked(filter);
  const [squad, fromToday, before, unsaid, gone, patterns, choices] = await Promise.all([
    listPlayers(db),
    sessionsBetween(db, today, '9999-12-31', narrow),
    sessionsBefore(db, today, sessionsAPage + 1, page * sessionsAPage, narrow),
    sessionsUnsaid(db, today),
    takenOff(db, 'session'),
    patternsView(context),
    filterChoices(db, today, firstDay),
  ]);
  const coming = fromToday.filter((session) => session.state !== 'finished');
  // What was held today, or before its day, stands first among what was held.
  const held = page === 0 ? fromToday.filter((session) => session.state === 'finished').reverse() : [];
  const open = new Set(unsaid.map((session) => session.id));
  const past = [...held, ...before.slice(0, sessionsAPage)].filter((session) => !open.has(session.id));
  const all = [...coming, ...unsaid, ...past];
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
    unsaid: lines.slice(coming.length, coming.length + unsaid.length),
    past: lines.slice(coming.length + unsaid.length),
    page,
    more: before.length > sessionsAPage,
    takenOff: gone,
    patterns,
    filter,
    choices,
  };
}
