import type { Database, Executor } from './client';

const queues = new WeakMap<Database, Promise<unknown>>();

/**
 * Runs a write in one transaction, all or nothing, one at a time in this process.
 * The file driver waits for locks without letting other work go on, so two open write transactions
 * of one process would stand in each other's way; the queue keeps them apart.
 */
export function write<T>(db: Database, work: (tx: Executor) => Promise<T>): Promise<T> {
  const before = queues.get(db) ?? Promise.resolve();
  const result = before.then(() => db.transaction((tx) => work(tx)));
  queues.set(
    db,
    result.catch(() => undefined),
  );
  return result;
}
