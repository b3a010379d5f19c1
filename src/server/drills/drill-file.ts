import { catalogue } from '@/drills';
import { bookContents } from '../readers/book';
import type { Drill } from '@/drills/base/types';
import { bundleFormat, bundleVersion } from '@/schemas/drill';
import type { Context } from '../base/context';

/** Drills as a file that can be taken away and brought back. */
export function bundleOf(drills: readonly Drill[]) {
  return { format: bundleFormat, version: bundleVersion, drills };
}

/** Drills as they were written, before any school: one, or all that are on the list. Null for an unknown one. */
export async function drillFile(
  { db }: Context,
  id: string | null,
): Promise<{ name: string; text: string } | null> {
  const { own, retired } = await bookContents(db);
  const all = [...catalogue, ...own];
  const drills =
    id === null ? all.filter((drill) => !retired.includes(drill.id)) : all.filter((drill) => drill.id === id);
  if (drills.length === 0) return null;
  return {
    name: id === null ? 'vow-step-drills.json' : `vow-step-${id}.json`,
    text: JSON.stringify(bundleOf(drills), null, 2),
  };
}
