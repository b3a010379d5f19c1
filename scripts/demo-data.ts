import { rmSync } from 'node:fs';
import { migrateDatabase, openDatabase } from '@/data/client';
import { makeDemo } from '@/demo/make';
import { now, serverZone } from '../src/server/base/zone';
import { demoSeed } from './lib/test-clock.js';

/** Makes the demo database anew at the file given: `tsx scripts/demo-data.ts data/demo.db [weeks]`. */
const [file, weeks = '10'] = process.argv.slice(2);
if (!file) throw new Error('Name the file: tsx scripts/demo-data.ts data/demo.db');
for (const ending of ['', '-wal', '-shm']) rmSync(file + ending, { force: true });

const db = await openDatabase(`file:${file}`);
await migrateDatabase(db);
const seed = Number(process.env.VOWSTEP_SEED ?? demoSeed);
const made = await makeDemo(db, { today: now(serverZone()).today, seed, weeks: Number(weeks) });
// Each copy of this file is a book of its own: it is given its epoch when it is first opened.
await db.$client.execute(`delete from database_fact where key = 'epoch'`);
await db.$client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
db.$client.close();
console.log(`Demo data: ${made.sessions} sessions, ${made.touches.toLocaleString('en-GB')} events.`);
