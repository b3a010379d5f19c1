import { sameShape } from '@/session/base/plan';
import type { Drill } from '@/drills/base/types';
import { done, refused, type Outcome } from '@/core/base/outcome';
import type { Executor } from '@/data/database';
import { getOwnDrill, putOwnDrill, setOwnDrillRemoved, stepsInUse } from '@/data/house';
import { write } from '@/data/write';
import type { Context } from '../base/context';
import { check } from '@/schemas/check';
import { asDrill, drillSchema } from '@/schemas/drill';

/* Drills written here. */

const unknownDrill = refused('drill', 'This drill is not one of your own (any more): go back to the drills.');

/** Writes a drill of one's own, or changes one when an id is given. Its id is ours, whatever the form says. */
export async function saveDrill(
  context: Context,
  input: unknown,
  id?: string,
): Promise<Outcome<{ id: string }>> {
  const drillId = id ?? `own-${context.newId()}`;
  const checked = check(drillSchema, { ...(input as object), id: drillId });
  if (!checked.ok) return checked;
  const drill = asDrill(checked.value);
  return write(context.db, async (tx) => {
    if (id !== undefined && !(await getOwnDrill(tx, id))) return unknownDrill;
    const broken = await usedStepsKept(tx, drill);
    if (broken) return broken;
    await putOwnDrill(tx, drillId, JSON.stringify(drill), context.nowMs);
    return done({ id: drillId });
  });
}

/**
 * Refuses a change that would pull a step from under a plan, a ladder or counts: such a step stays, counted and dosed
 * the same way.
 */
export async function usedStepsKept(tx: Executor, drill: Drill): Promise<Outcome<never> | null> {
  const before = await getOwnDrill(tx, drill.id);
  if (!before) return null;
  const old = (JSON.parse(before.drill) as Drill).steps;
  for (const stepId of await stepsInUse(tx, drill.id)) {
    const was = old.find((step) => step.id === stepId);
    const is = drill.steps.find((step) => step.id === stepId);
    if (was && !(is && sameShape(was, is)))
      return refused(
        'steps',
        `Step “${was.title}” is in a plan or has counts: keep it, measured and dosed the same way, or vary the drill into a new one.`,
      );
  }
  return null;
}

/** Takes an own drill off the list, or back on it; sessions that hold it keep it. */
export async function removeDrill(context: Context, id: string, removed: boolean): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    if (!(await getOwnDrill(tx, id))) return unknownDrill;
    await setOwnDrillRemoved(tx, id, removed ? context.nowMs : null);
    return done(null);
  });
}
