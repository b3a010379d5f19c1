import { fitOverridesOf } from '@/data/house';
import { getSession } from '@/data/session';
import { kitAtHand } from '@/drills/base/kit';
import { layoutChild } from '@/drills/layouts';
import { laneMovesOf } from '@/schemas/lane-moves';
import type { LaneMove } from '@/session/plan/moved-lanes';
import { setOutOf, type SetOut, type SetOutPlayer } from '@/session/plan/set-out';
import type { Context } from '../base/context';
import { bookFor } from '../readers/book';
import { sessionPlanView } from './session-plan';

export interface SessionSetOutView {
  readonly session: { readonly id: string; readonly title: string };
  /** Null where nobody said where it is held. */
  readonly setOut: SetOut | null;
  /** Lanes that were moved by hand. */
  readonly moves: readonly LaneMove[];
  readonly empty: boolean;
}

/** A session laid out on the floor of its place, for those who come. */
export async function sessionSetOutView(context: Context, id: string): Promise<SessionSetOutView | null> {
  const [plan, row] = await Promise.all([sessionPlanView(context, id), getSession(context.db, id)]);
  if (!plan || !row) return null;
  const { session, blocks, playerIds, squad, absent, grounds, kit } = plan;
  const coming = playerIds.flatMap((one) =>
    absent.includes(one) ? [] : (squad.find((player) => player.id === one) ?? []),
  );
  const [book, overrides] = await Promise.all([
    bookFor(context.db, session.coach),
    fitOverridesOf(
      context.db,
      coming.map((one) => one.id),
    ),
  ]);
  const place = grounds.find((one) => one.id === session.placeId) ?? null;
  const players = coming.map((one): SetOutPlayer => ({
    id: one.id,
    name: one.name,
    age: one.age,
    child: layoutChild(one, overrides[one.id]),
  }));
  return {
    session: { id: session.id, title: session.title },
    setOut:
      place &&
      setOutOf(
        book,
        blocks,
        players,
        { place, atHand: kitAtHand(kit) },
        grounds.filter((other) => other !== place),
      ),
    moves: laneMovesOf(row.laneMoves),
    empty: blocks.length === 0,
  };
}
