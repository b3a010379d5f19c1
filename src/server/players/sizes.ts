import { done, refused, type Outcome } from '@/core/base/outcome';
import { putFitOverride } from '@/data/house';
import { getPlayer } from '@/data/squad';
import { write } from '@/data/write';
import type { Context } from '../base/context';
import { check } from '@/schemas/check';
import { fitSchema } from '@/schemas/school';

/* Sizes a coach set for one child. */

/** Sets a coach's own number of the fit to a child, or goes back to the suggestion. */
export async function overruleFit(
  context: Context,
  playerId: string,
  input: unknown,
): Promise<Outcome<null>> {
  const checked = check(fitSchema, input);
  if (!checked.ok) return checked;
  return write(context.db, async (tx) => {
    if (!(await getPlayer(tx, playerId)))
      return refused('player', 'This player is not on record (any more): go back to the squad.');
    await putFitOverride(tx, playerId, checked.value.key, checked.value.value);
    return done(null);
  });
}
