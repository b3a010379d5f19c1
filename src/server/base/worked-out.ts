import { refused, type Outcome } from '@/core/base/outcome';
import type { Database, Executor } from '@/data/database';
import { write } from '@/data/write';

/** Worked out anew so often while others write; then once with nobody writing. Ours. */
const tries = 3;

const changed = refused('changed', 'What this was worked out from has changed.');

export interface WorkedOut<P, T> {
  /** All the plan is made from, as one text: it tells whether the plan still holds. */
  readonly basis: (db: Executor) => Promise<string>;
  /** Reads and reckons as long as it takes; writes nothing. */
  readonly plan: (db: Executor) => Promise<Outcome<P>>;
  /** Writes what was planned, and reckons nothing. */
  readonly put: (tx: Executor, plan: P) => Promise<T>;
}

/**
 * Something that takes long to work out and little to write down: counts are stored while it is worked out. It is written
 * only if what it was made from is still as it was, else it is worked out again.
 */
export async function workedOut<P, T>(
  db: Database,
  { basis, plan, put }: WorkedOut<P, Outcome<T>>,
): Promise<Outcome<T>> {
  for (let left = tries; left > 0; left--) {
    const before = await basis(db);
    const planned = await plan(db);
    if (!planned.ok) return planned;
    const outcome = await write(db, async (tx): Promise<Outcome<T>> =>
      (await basis(tx)) === before ? put(tx, planned.value) : changed,
    );
    if (outcome !== changed) return outcome;
  }
  return write(db, async (tx): Promise<Outcome<T>> => {
    const planned = await plan(tx);
    return planned.ok ? put(tx, planned.value) : planned;
  });
}
