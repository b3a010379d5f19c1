import { readLine, writeLine } from '@/core/movement/sequence/line';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { getSequence, putSequence, setSequenceRemoved } from '@/data/sequences';
import { write } from '@/data/write';
import { check } from '@/schemas/check';
import { sequenceSchema } from '@/schemas/sequence';
import type { Context } from '../base/context';

const unknown = refused('sequence', 'This sequence is not on the list (any more): reload the page.');

/** Keeps a shadow sequence, or changes the one with an id. Its line is kept in the one way it is written. */
export async function saveSequence(
  context: Context,
  input: unknown,
  id?: string,
): Promise<Outcome<{ id: string }>> {
  const checked = check(sequenceSchema, input);
  if (!checked.ok) return checked;
  const { name, sport, ground, line } = checked.value;
  const shots = readLine(line, sport);
  if (!shots.ok) return shots;
  return write(context.db, async (tx) => {
    if (id !== undefined && !(await getSequence(tx, id))) return unknown;
    const sequenceId = id ?? context.newId();
    const fields = { name, sport, ground, line: writeLine(shots.value, sport) };
    await putSequence(tx, sequenceId, fields, context.nowMs);
    return done({ id: sequenceId });
  });
}

/** Takes a sequence off the list, or back on it. */
export async function removeSequence(context: Context, id: string, removed: boolean): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    if (!(await getSequence(tx, id))) return unknown;
    await setSequenceRemoved(tx, id, removed ? context.nowMs : null);
    return done(null);
  });
}
