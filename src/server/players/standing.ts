import { markFor } from '@/session/base/goals';
import { ageBandOf } from '@/drills/base/age-band';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { deletePlace, getPlayer, placesOf, putPlaces } from '@/data/squad';
import { write } from '@/data/write';
import { bookFor } from '../readers/book';
import type { Context } from '../base/context';
import { check } from '@/schemas/check';
import { standingSchema } from '@/schemas/standing';
import { playerFacts } from '../readers/player-facts';

/**
 * Puts a player on a step of a ladder, by the coach's own eye; null takes them off it. The step's mark under the dose of
 * their age is what they aim at.
 * @returns the step they stood on before; null when they had not begun
 */
export async function placePlayer(
  context: Context,
  input: unknown,
): Promise<Outcome<{ before: string | null }>> {
  const checked = check(standingSchema, input);
  if (!checked.ok) return checked;
  const { playerId, drillId, stepId } = checked.value;
  return write(context.db, async (tx) => {
    const player = await getPlayer(tx, playerId);
    if (!player) return refused('playerId', 'This player is not on record (any more): reload the page.');
    const before =
      (await placesOf(tx, [playerId])).find((place) => place.drillId === drillId)?.stepId ?? null;
    if (stepId === null) {
      await deletePlace(tx, playerId, drillId);
      return done({ before });
    }
    const step = (await bookFor(tx)).step(drillId, stepId, playerId);
    if (!step) return refused('stepId', 'This step is not on the ladder (any more): choose another.');
    const { age } = playerFacts(player, context.today);
    const target = markFor(step, ageBandOf(age)).result;
    const why = 'Put there by the coach.';
    await putPlaces(tx, [{ playerId, drillId, stepId, target, sinceMs: context.nowMs, why }]);
    return done({ before });
  });
}
