import { things, thingNames, type Entry, type ThingName } from '@/formats/bundle/things';
import { putEntries } from '@/data/bundle';
import type { Executor } from '@/data/database';
import { keepTakeOver, type TakenOver } from '@/data/take-over';
import type { Context } from '../base/context';
import { markOf } from './mark-of';

/** What a file would do to the book. */
export interface Changes {
  readonly added: ReadonlyMap<ThingName, readonly Entry[]>;
  readonly changed: ReadonlyMap<ThingName, readonly { readonly was: Entry; readonly is: Entry }[]>;
}

export const keysOf = (name: ThingName, entry: Entry): string[] =>
  things[name].key.map((field) => String(entry[field]));

/**
 * Puts in what a file says, and keeps how it was before.
 * @param file what it is called
 * @returns by which it can be taken back; null where there was nothing to do
 */
export async function putIn(
  tx: Executor,
  context: Context,
  file: string,
  { added, changed }: Changes,
): Promise<string | null> {
  const what: {
    -readonly [Key in keyof TakenOver]: { -readonly [Name in ThingName]?: TakenOver[Key][Name] };
  } = {
    added: {},
    changed: {},
  };
  for (const name of thingNames) {
    const other = changed.get(name) ?? [];
    const fresh = added.get(name) ?? [];
    // What ends first: of two focuses of one player one is open.
    if (other.length > 0) {
      await putEntries(
        tx,
        name,
        other.map(({ is }) => is),
      );
      what.changed[name] = other.map(({ was, is }) => ({ before: was, said: markOf(is) }));
    }
    if (fresh.length > 0) {
      await putEntries(tx, name, fresh);
      what.added[name] = fresh.map((entry) => ({ key: keysOf(name, entry), said: markOf(entry) }));
    }
  }
  if (Object.keys({ ...what.added, ...what.changed }).length === 0) return null;
  const id = context.newId();
  await keepTakeOver(tx, { id, atMs: context.nowMs, name: file, what });
  return id;
}
