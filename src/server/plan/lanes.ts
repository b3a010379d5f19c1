import { done, type Outcome } from '@/core/base/outcome';
import { getSession, updateSession } from '@/data/session';
import { write } from '@/data/write';
import { check } from '@/schemas/check';
import { laneMovesSchema } from '@/schemas/lane-moves';
import type { Context } from '../base/context';
import { unknownSession } from './sessions';

/** Keeps which lanes of a session were moved by hand, and where to: the plan knows nothing of them and stays as it is. */
export async function moveLanes(context: Context, id: string, input: unknown): Promise<Outcome<null>> {
  const checked = check(laneMovesSchema, input);
  if (!checked.ok) return checked;
  return write(context.db, async (tx) => {
    if (!(await getSession(tx, id))) return unknownSession;
    const { moves } = checked.value;
    await updateSession(tx, id, { laneMoves: moves.length === 0 ? null : JSON.stringify(moves) });
    return done(null);
  });
}
