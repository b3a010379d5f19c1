import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { createClient } from '@libsql/client';
import { driverWaitMs } from './patience';

/** Where copies of a book are kept. */
export const copiesFolder = (book: string): string => path.join(path.dirname(book), 'backups');

/** Every copy of a book that is known of: those kept, and books a restore has put aside. Newest names last. */
export function copiesOf(book: string): string[] {
  const folder = path.dirname(book);
  const kept = copiesFolder(book);
  const files = (of: string, is: (name: string) => boolean) =>
    existsSync(of)
      ? readdirSync(of)
          .filter(is)
          .map((name) => path.join(of, name))
      : [];
  return [
    ...files(kept, (name) => name.endsWith('.db')),
    ...files(
      folder,
      (name) => name.startsWith(`${path.basename(book)}.before-`) && !/-(wal|shm|journal)$/.test(name),
    ),
  ].sort();
}

/** Copies that still say who these players were. One that cannot be read may hold them, and is named too. */
export async function copiesHolding(book: string, ids: readonly string[]): Promise<string[]> {
  if (ids.length === 0) return [];
  const holding: string[] = [];
  for (const file of copiesOf(book)) {
    const client = createClient({ url: `file:${file}`, timeout: driverWaitMs });
    try {
      const { columns } = await client.execute('select * from player limit 0');
      const erased = columns.includes('erased_at_ms') ? 'erased_at_ms is null' : 'true';
      const { rows } = await client.execute({
        sql: `select 1 from player where id in (select value from json_each(?)) and ${erased} limit 1`,
        args: [JSON.stringify(ids)],
      });
      if (rows.length > 0) holding.push(file);
    } catch {
      holding.push(file);
    } finally {
      client.close();
    }
  }
  return holding;
}
