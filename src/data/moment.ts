import type { Database, Executor } from './database';
import { databaseApart } from './client';

/**
 * Reads a book as it is at one moment, piece by piece and for as long as it takes. A file is read by a process of its own
 * (apart.ts), in one transaction: what is written meanwhile is not seen, and waits for nothing.
 */
export async function* momentOf<T>(
  db: Database,
  read: (from: Executor) => AsyncGenerator<T>,
): AsyncGenerator<T> {
  const file = db.$file?.path;
  if (!file) return yield* read(db);
  const apart = databaseApart(file);
  try {
    const hold = await apart.$client.transaction('read');
    yield* read(apart);
    hold.close();
  } finally {
    await apart.$client.end();
  }
}
