import { done, refused, type Outcome } from '@/core/base/outcome';
import { getPattern, insertPattern, listPatterns, setPatternRemoved } from '@/data/patterns';
import { getSession } from '@/data/session';
import { write } from '@/data/write';
import { check } from '@/schemas/check';
import { patternSchema } from '@/schemas/pattern';
import type { Context } from '../base/context';
import { asPlanForm, runBlocks } from '../readers/blocks';
import { unknownPattern } from '../readers/patterns';
import { unknownSession } from './sessions';

/** Keeps a session's plan by a name, without its day, its place and its children. */
export async function keepPattern(
  context: Context,
  sessionId: string,
  input: unknown,
): Promise<Outcome<{ id: string }>> {
  const checked = check(patternSchema, input);
  if (!checked.ok) return checked;
  const { title } = checked.value;
  return write(context.db, async (tx) => {
    const session = await getSession(tx, sessionId);
    if (!session) return unknownSession;
    const blocks = (await runBlocks(tx, [sessionId])).map(asPlanForm);
    if (blocks.length === 0)
      return refused('blocks', 'The plan is empty: add a drill before you keep it as a pattern.');
    if ((await listPatterns(tx)).some((one) => one.title.toLowerCase() === title.toLowerCase()))
      return refused(
        'title',
        `There is a pattern called ${title} already: choose another name, or remove that one.`,
      );
    const id = context.newId();
    const kept = blocks.map(
      ({ id: blockId, drillId, stepId, dose, changes, stations, breakS, setting, circuit }) => ({
        id: blockId,
        drillId,
        stepId,
        dose,
        changes,
        stations,
        breakS,
        setting,
        // As many groups, and nobody in them: whoever comes is dealt to them.
        circuit: circuit ? { ...circuit, groups: circuit.groups.map(() => []) } : null,
      }),
    );
    await insertPattern(
      tx,
      id,
      { title, bookedMin: session.bookedMin, blocks: JSON.stringify(kept) },
      context.nowMs,
    );
    return done({ id });
  });
}

/** Removes a pattern, or brings it back. */
export async function removePattern(context: Context, id: string, removed: boolean): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    if (!(await getPattern(tx, id))) return unknownPattern;
    await setPatternRemoved(tx, id, removed ? context.nowMs : null);
    return done(null);
  });
}
