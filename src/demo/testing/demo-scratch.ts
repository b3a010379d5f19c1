import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { keepAs } from '@/server/testing/keep-as';
import { scratch, type Scratch } from '@/server/testing/scratch';
import { makeDemo } from '../make';

/** The day tests look at the demo. */
export const demoToday = '2026-11-24';

/** What a demo is made by: another file in one of these makes another demo. */
const makers = ['core', 'drills', 'session', 'schemas', 'data', 'server', 'demo'];

/** For tests: the demo with so many weeks behind it, made once for all tests on this machine; every test has a copy. */
export async function demoScratch(weeks: 2 | 5): Promise<Scratch> {
  const zone = (process.env.TZ ?? 'UTC').replaceAll('/', '-');
  const file = path.join(tmpdir(), `vowstep-demo-${weeks}-${zone}-${version()}.db`);
  return scratch(existsSync(file) ? file : await made(file, weeks));
}

async function made(file: string, weeks: number): Promise<string> {
  const { context, file: own, close } = await scratch();
  await makeDemo(context.db, { today: demoToday, seed: 20, weeks });
  await keepAs(context.db, own, file);
  close();
  return file;
}

let known: string | null = null;
function version(): string {
  if (known) return known;
  const hash = createHash('sha256');
  for (const folder of [...makers.map((name) => path.join('src', name)), 'drizzle'])
    for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' }).sort())
      if (/\.(sql|ts)$/.test(name) && !/\.test\.ts$/.test(name))
        hash.update(name).update(readFileSync(path.join(folder, name)));
  return (known = hash.digest('hex').slice(0, 16));
}
