import type { Outcome } from '@/core/base/outcome';
import type { Database, Executor } from './database';
import { sameFile } from './identity';
import { sayDoing } from './audit';
import { remoteTransaction } from './remote';

interface Line {
  last: Promise<unknown>;
  /** Done after every write from now on, because the process is ending. */
  afterwards?: () => Promise<void>;
}

// Next bundles routes separately, and all of them must stand in one line: it hangs on the global object.
const shared = globalThis as typeof globalThis & { vowstepWrites?: WeakMap<object, Line> };

function lineOf(db: Database): Line {
  const lines = (shared.vowstepWrites ??= new WeakMap());
  let line = lines.get(db);
  if (!line) lines.set(db, (line = { last: Promise.resolve() }));
  return line;
}

/** Transactions that are under way: what is written with one of them as its database is part of it. */
const underWay = new WeakSet<object>();

class Refusal extends Error {
  constructor(readonly outcome: Outcome<never>) {
    super('refused');
  }
}

/**
 * Several use cases as one: all of them are done, or nothing is. What is refused by any of them takes back what was
 * written before it.
 * @param work is given the context with the transaction as its database
 */
export async function asOne<C extends { readonly db: Database }, T, O extends Outcome<T>>(
  context: C,
  work: (context: C) => Promise<O>,
): Promise<O> {
  try {
    return await write(context.db, async (tx) => {
      const db = tx as Database;
      underWay.add(db);
      try {
        const outcome = await work({ ...context, db });
        if (!outcome.ok) throw new Refusal(outcome);
        return outcome;
      } finally {
        underWay.delete(db);
      }
    });
  } catch (error) {
    if (error instanceof Refusal) return error.outcome as O;
    throw error;
  }
}

/**
 * Runs a write in one transaction, all or nothing, one at a time in this process.
 * The file driver waits for locks without letting other work go on, so two open write transactions
 * of one process would stand in each other's way; the queue keeps them apart.
 * @throws DatabaseTrouble when the file is no longer the one that was opened: nothing is stored where nobody finds it
 */
export function write<T>(db: Database, work: (tx: Executor) => Promise<T>): Promise<T> {
  if (underWay.has(db)) return work(db);
  const line = lineOf(db);
  const result = line.last.then(() => {
    sameFile(db);
    return transaction(db, work);
  });
  line.last = result.then(
    () => line.afterwards?.().catch(() => undefined),
    () => undefined,
  );
  return result;
}

const isRefused = (result: unknown): boolean =>
  (result as Partial<Outcome<unknown>> | undefined)?.ok === false;

/** The id of what a work made, where its outcome names one. */
function madeBy(result: unknown): string | null {
  const { value } = (result ?? {}) as { readonly value?: { readonly id?: unknown } | null };
  return typeof value?.id === 'string' ? value.id : null;
}

/** What went wrong in the work is thrown, even when SQLite had already rolled back and a second rollback fails over it. */
async function transaction<T>(db: Database, work: (tx: Executor) => Promise<T>): Promise<T> {
  const failed: { error?: unknown } = {};
  let saidHere = false;
  const said = async (tx: Executor): Promise<T> => {
    const result = await work(tx);
    // Who did it stands in the same transaction as what was done; what was refused was not done.
    if (!isRefused(result) && (await sayDoing(tx, madeBy(result), saidHere))) saidHere = true;
    return result;
  };
  try {
    if (db.$direct) return await remoteTransaction(db, said);
    return await (db.$writer ?? db).transaction((tx) =>
      said(tx).catch((error: unknown) => {
        failed.error = error;
        throw error;
      }),
    );
  } catch (error) {
    throw failed.error ?? error;
  } finally {
    db.$written?.();
  }
}

/** Does something while nothing is written: after what is under way, before what comes. */
export function alone<T>(db: Database, work: () => Promise<T>): Promise<T> {
  const line = lineOf(db);
  const result = line.last.then(work);
  line.last = result.catch(() => undefined);
  return result;
}

/** Says that the process is ending: does something after what is being written, and after each write that still comes. */
export function closing(db: Database, afterwards: () => Promise<void>): void {
  const line = lineOf(db);
  line.afterwards = afterwards;
  line.last = line.last.then(() => afterwards().catch(() => undefined));
}
