import { catalogue } from '@/drills';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { getOwnDrill, putSchoolChoice } from '@/data/house';
import { getPlayer } from '@/data/squad';
import { write } from '@/data/write';
import type { Context } from '../base/context';
import { check } from '@/schemas/check';
import { schoolSchema } from '@/schemas/school';

/* Where coaches differ: what is chosen for all, a drill or a player. */

/** Chooses a school, or goes back to what stands above it. */
export async function chooseSchool(context: Context, input: unknown): Promise<Outcome<null>> {
  const checked = check(schoolSchema, input);
  if (!checked.ok) return checked;
  const { scope, key, question, answer } = checked.value;
  return write(context.db, async (tx) => {
    if (scope === 'player' && !(await getPlayer(tx, key)))
      return refused('key', 'This player is not on record (any more): reload the page.');
    if (scope === 'drill' && !catalogue.some((drill) => drill.id === key) && !(await getOwnDrill(tx, key)))
      return refused('key', 'This drill is not on the list (any more): reload the page.');
    await putSchoolChoice(tx, { scope, key, question, answer });
    return done(null);
  });
}
