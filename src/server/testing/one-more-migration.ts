import { cpSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/**
 * For tests: a folder to run in whose `drizzle` knows one migration more than there is, so that what is opened there is of
 * an earlier version.
 */
export function withOneMoreMigration(statement: string): string {
  const root = mkdtempSync(path.join(tmpdir(), 'vowstep-later-'));
  cpSync(path.join(process.cwd(), 'drizzle'), path.join(root, 'drizzle'), { recursive: true });
  const file = path.join(root, 'drizzle', 'meta', '_journal.json');
  const journal = JSON.parse(readFileSync(file, 'utf8')) as { entries: { idx: number; when: number }[] };
  const last = journal.entries.at(-1)!;
  const tag = '9999_for_a_test';
  const entry = { ...last, idx: last.idx + 1, when: last.when + 1, tag };
  writeFileSync(file, JSON.stringify({ ...journal, entries: [...journal.entries, entry] }));
  writeFileSync(path.join(root, 'drizzle', `${tag}.sql`), statement);
  return root;
}
