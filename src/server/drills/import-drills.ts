import { catalogue } from '@/drills';
import type { Drill } from '@/drills/base/types';
import { done, refused, type Outcome, type Problem } from '@/core/base/outcome';
import { putOwnDrill, setOwnDrillRemoved } from '@/data/house';
import { write } from '@/data/write';
import { check } from '@/schemas/check';
import { asDrill, bundleFileSchema, drillSchema } from '@/schemas/drill';
import { bookContents } from '../readers/book';
import type { Context } from '../base/context';
import { usedStepsKept } from './own-drills';

export interface Imported {
  readonly ids: readonly string[];
  /** How many were passed over, because the very same drill is here. */
  readonly same: number;
}

export interface ImportWatch {
  /** Told after each drill how many are checked. */
  readonly onChecked?: (checked: number, of: number) => void;
  /** Leaves off when it is aborted; nothing is brought in then. */
  readonly signal?: AbortSignal;
}

/** Lets other work go on. */
const breath = () => new Promise((resolve) => setImmediate(resolve));

/**
 * Takes drills from a file: all of them or none, each checked for itself so that counting on court goes on meanwhile.
 * Each becomes an own drill; one that was exported from here is put back in its place, one from the catalogue becomes a
 * new drill of one's own, and one that is here already, word for word, is passed over.
 */
export async function importDrills(
  context: Context,
  input: unknown,
  { onChecked, signal }: ImportWatch = {},
): Promise<Outcome<Imported>> {
  const file = check(bundleFileSchema, input);
  if (!file.ok) return file;
  const forms = file.value.drills;
  const drills: Drill[] = [];
  const problems: Problem[] = [];
  for (const [index, form] of forms.entries()) {
    const checked = check(drillSchema, form);
    if (checked.ok) drills.push(asDrill(checked.value));
    else problems.push(...checked.problems.map(inDrill(index, form)));
    onChecked?.(index + 1, forms.length);
    await breath();
    if (signal?.aborted) return refused('file', 'This was left off. Nothing was brought in.');
  }
  if (problems.length > 0) return { ok: false, problems };

  const { own, retired } = await bookContents(context.db);
  const known = new Set(
    [...catalogue, ...own].filter((drill) => !retired.includes(drill.id)).map(contentsOf),
  );
  const ours = new Set(own.map((drill) => drill.id));
  const fresh = drills.flatMap((drill) => {
    const contents = contentsOf(drill);
    if (known.has(contents)) return [];
    known.add(contents);
    return [ours.has(drill.id) ? drill : { ...drill, id: `own-${context.newId()}` }];
  });
  return write(context.db, async (tx) => {
    for (const drill of fresh) {
      const broken = await usedStepsKept(tx, drill);
      if (broken) return broken;
    }
    for (const drill of fresh) {
      await putOwnDrill(tx, drill.id, JSON.stringify(drill), context.nowMs);
      await setOwnDrillRemoved(tx, drill.id, null);
    }
    return done({ ids: fresh.map((drill) => drill.id), same: drills.length - fresh.length });
  });
}

/** All a drill says but its id, as text: fields in one order, those left open left out. */
function contentsOf({ id: _id, ...drill }: Drill): string {
  return JSON.stringify(drill, (_key, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );
}

/** Says which drill of a file a problem is about. */
const inDrill =
  (index: number, form: object) =>
  ({ field, message }: Problem): Problem => {
    const { title } = form as { title?: unknown };
    const name = typeof title === 'string' ? ` (${title})` : '';
    return { field: `drills[${index}].${field}`, message: `Drill ${index + 1}${name}: ${message}` };
  };
