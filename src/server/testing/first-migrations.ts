import { cpSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

/** For tests: the migrations as they were when there were so many, in a folder of their own. */
export function firstMigrations(folder: string, count: number): string {
  const to = path.join(folder, `drizzle-${count}`);
  cpSync(path.join(process.cwd(), 'drizzle'), to, { recursive: true });
  const journal = path.join(to, 'meta', '_journal.json');
  const { entries, ...rest } = JSON.parse(readFileSync(journal, 'utf8')) as { entries: unknown[] };
  writeFileSync(journal, JSON.stringify({ ...rest, entries: entries.slice(0, count) }));
  return to;
}
