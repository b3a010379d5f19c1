import { statSync } from 'node:fs';
import path from 'node:path';
import type { Database, OpenedFile } from './database';
import { trouble } from './trouble';

/** Which file stands at a path: null when there is none. */
function identityOf(file: string): string | null {
  const stat = statSync(file, { bigint: true, throwIfNoEntry: false });
  return stat ? `${stat.dev}:${stat.ino}` : null;
}

/** The path of a database that is a file; null for a server. */
export const fileOf = (url: string): string | null =>
  url.startsWith('file:') ? path.resolve(url.slice('file:'.length)) : null;

export const openedFile = (file: string): OpenedFile => ({ path: file, identity: identityOf(file) });

/**
 * A file that was deleted or replaced goes on being written to where nobody finds it again.
 * @throws DatabaseTrouble when the file is not the one that was opened
 */
export function sameFile({ $file }: Pick<Database, '$file'>): void {
  if (!$file) return;
  const is = identityOf($file.path);
  if (is !== $file.identity) throw trouble(is === null ? 'gone' : 'replaced');
}
