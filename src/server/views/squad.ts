import { recentWork } from '@/data/results';
import { attendedSince, playersInSessions } from '@/data/session';
import { isOpen, noFilter, type Filter } from '@/core/base/filter';
import { asked, filterChoices, type FilterChoices } from '../readers/filters';
import { listPlayers } from '@/data/squad';
import { takenOff, type TakenOff } from '@/data/taken-off';
import type { Context } from '../base/context';
import { dayAfter } from '../base/days';
import { resultsReady } from '../court/results';
import { playerFacts, type PlayerFacts } from '../readers/player-facts';

export const squadDays = 28;
/** Who trains somewhere or with somebody: seen over so many days back, and in all that is planned. Ours. */
const squadFilterDays = 84;

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
  /** How many are on the squad, whatever the list is narrowed to. */
  readonly all: number;
  readonly filter: Filter;
  readonly choices: FilterChoices;
}

/** Everybody on the squad, with what they did in the last four weeks. */
export async function squadView(context: Context, filter: Filter = noFilter): Promise<SquadView> {
  await resultsReady(context.db);
  const since = dayAfter(context.today, -squadDays);
  const { sport, ...where } = filter;
  const bySession = isOpen({ ...filter, sport: '' })
    ? null
    : await playersInSessions(
        context.db,
        dayAfter(context.today, -squadFilterDays),
        asked({ ...where, sport: '' }),
      );
  const [players, work, attended, gone, choices] = await Promise.all([
    listPlayers(context.db),
    recentWork(context.db, since),
    attendedSince(context.db, since),
    takenOff(context.db, 'player'),
    filterChoices(context.db, context.today, context.firstDay),
  ]);
  const shown = players.filter(
    (player) => (sport === '' || player.sport === sport) && (bySession?.has(player.id) ?? true),
  );
  const done = new Map(work.map((row) => [row.playerId, row]));
  const there = new Map(attended.map((row) => [row.playerId, row.sessions]));
  return {
    year: Number(context.today.slice(0, 4)),
    takenOff: gone,
    filter,
    choices,
    all: players.length,
    players: shown.map((player) => {
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
