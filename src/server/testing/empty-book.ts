import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { migrateDatabase, migrationsFolder, openDatabase } from '@/data/client';
import { keepAs } from './keep-as';

let known: Promise<string> | null = null;

/** An empty book of this version, made once for all tests on this machine: migrating anew takes longer than most tests do. */
export const emptyBook = (): Promise<string> => (known ??= made());

async function made(): Promise<string> {
  const file = path.join(tmpdir(), `vowstep-empty-${version()}.db`);
  if (existsSync(file)) return file;
  const own = `${file}.${process.pid}.making`;
  const db = await openDatabase(`file:${own}`);
  await migrateDatabase(db);
  await keepAs(db, own, file);
  db.$client.close();
  for (const beside of ['', '-wal', '-shm']) rmSync(`${own}${beside}`, { force: true });
  return file;
}

/** Of the migrations, and of the code that brings a book up to date. */
function version(): string {
  const hash = createHash('sha256');
  for (const folder of [migrationsFolder(), path.join(process.cwd(), 'src/data')])
    for (const name of readdirSync(folder).sort())
      if (/\.(sql|ts)$/.test(name)) hash.update(name).update(readFileSync(path.join(folder, name)));
  return hash.digest('hex').slice(0, 16);
}
