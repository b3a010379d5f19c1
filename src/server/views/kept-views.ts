import type { Context } from '../base/context';
import { resultsReady } from '../court/results';

interface Known {
  readonly at: object;
  readonly view: unknown;
}

/** Views that are kept of a database: those of a few coaches with a few pages open each. Ours. */
const mostKept = 60;
const kept = new WeakMap<object, Map<string, Known>>();

/**
 * A view as it was made last, as long as nobody has written since: a page that is opened again, or by a second coach,
 * costs the look whether anything changed. What is made of a view must not change it.
 * @param name which view, with all it hangs on besides the book, the day and who asks
 */
export async function keptView<T>(context: Context, name: string, make: () => Promise<T>): Promise<T> {
  const { db, today, zone, firstDay, actor } = context;
  // What the log has made stale is brought up to date first: that writes.
  await resultsReady(db);
  const at = await db.$stands?.();
  if (!at) return make();
  const views = kept.get(db) ?? new Map<string, Known>();
  kept.set(db, views);
  const key = JSON.stringify([name, today, zone, firstDay, actor]);
  const known = views.get(key);
  if (known?.at === at) {
    views.delete(key);
    views.set(key, known);
    return known.view as T;
  }
  const view = await make();
  // Written meanwhile, it may be half of before and half of after: it is shown once and not kept.
  if ((await db.$stands?.()) === at) views.set(key, { at, view });
  if (views.size > mostKept) views.delete(views.keys().next().value!);
  return view;
}
