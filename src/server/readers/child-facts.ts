import { dayNumber } from '@/core/base/days';
import { fociOf } from '@/data/ledger';
import { getPlayers } from '@/data/squad';
import type { ChildFacts } from '@/session/plan/build/needs';
import { transferOf } from '@/session/skill/transfer';
import type { Context } from '../base/context';
import { bookFor } from './book';
import { playerFacts } from './player-facts';
import { skillUntil } from './skill';
import { laddersOf } from './ladders';

/** So many children at once at most: more than any group. Ours. */
const mostChildren = 60;

/**
 * What is known of children that says which drills would help them, from results that are up to date; who is not on record (any more) is left out.
 */
export async function childFacts(
  context: Pick<Context, 'db' | 'today'>,
  playerIds: readonly string[],
): Promise<ChildFacts[]> {
  const { db, today } = context;
  const [rows, book, skill] = await Promise.all([
    getPlayers(db, playerIds.slice(0, mostChildren)),
    bookFor(db),
    skillUntil(db, today),
  ]);
  const players = rows.filter(({ erasedAtMs }) => erasedAtMs === null).map((row) => playerFacts(row, today));
  const [ladders, foci] = await Promise.all([
    laddersOf(context, book, skill, players, false),
    Promise.all(players.map(({ id }) => fociOf(db, id))),
  ]);
  return players.map(({ id }, at) => {
    const open = foci[at]!.find(({ untilMs }) => untilMs === null);
    const { train, missing } = transferOf(book, skill, id);
    return {
      playerId: id,
      focusDrills: open?.drillIds ?? [],
      train: train ?? missing,
      ladders: (ladders.get(id) ?? []).map(({ drillId, lastDay, odds }) => ({
        drillId,
        daysAway: Math.max(0, dayNumber(today) - dayNumber(lastDay)),
        chance: odds?.chance ?? null,
      })),
    };
  });
}
