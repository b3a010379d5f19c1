import { readdirSync } from 'node:fs';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { seededRandom } from '@/core/base/random';
import { ingestTouches } from '@/server/court/ingest';
import { refreshAttempts } from '@/server/court/results';
import { savePlayer } from '@/server/players/squad';
import { sessionPlanView } from '@/server/views/session-plan';
import { eventsOf, ids, oneBlockSession, value } from '@/server/testing/scratch';
import type { Context } from '@/server/base/context';
import { libsqlStandIn, type StandIn } from '../../testing/libsql-server';
import { migrateDatabase, openDatabase, serverHoldsMs } from './client';
import type { Database } from './database';
import { troubleOf } from './trouble';
import { write } from './write';

let folder: string, server: StandIn, db: Database, other: Database;
let context: Context;
beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'vowstep-remote-'));
  server = await libsqlStandIn(path.join(folder, 'book.db'), { random: seededRandom(20261127) });
  server.dials.streamMs = 300;
  [db, other] = [await openDatabase(server.url), await openDatabase(server.url)];
  // Two servers start at once: one brings the database up to date, the other finds it done.
  await Promise.all([migrateDatabase(db), migrateDatabase(other)]);
  const nowMs = Date.parse('2026-11-24T16:30:00Z');
  const newId = ids(3);
  context = { db, nowMs, today: '2026-11-24', newId: () => newId(nowMs) };
});
afterAll(async () => {
  for (const one of [db, other]) one.$client.close();
  await server.close();
  rmSync(folder, { recursive: true, force: true });
});
afterEach(() => Object.assign(server.dials, { refuse: 0, lose: 0, away: false, delayMs: 0 }));

const names = async (one = db) =>
  (await one.all<{ name: string }>(sql`select name from player order by name`)).map((row) => row.name);

test('two servers that start at once migrate once', async () => {
  const rows = await db.all<{ n: number }>(
    sql`select count(*) as n, count(distinct hash) as d from __drizzle_migrations`,
  );
  const all = readdirSync('drizzle').filter((file) => file.endsWith('.sql')).length;
  expect(rows[0]).toEqual({ n: all, d: all });
});

test('what is asked together is one request, what is known is none, and what another server wrote is seen', async () => {
  const three = async () => {
    await Promise.all([1, 2, 3].map((n) => db.all(sql`select ${n} as n from database_fact limit 1`)));
    return server.trips();
  };
  let trips: number[] = [];
  let tookMs = Infinity;
  // On a busy machine what is known has grown old before it is asked again: that time does not count.
  while (tookMs >= serverHoldsMs) {
    await new Promise((resolve) => setTimeout(resolve, 1.5 * serverHoldsMs));
    server.trips();
    const from = performance.now();
    trips = [await three(), await three()];
    tookMs = performance.now() - from;
  }
  // One for the number, one for all three; then none.
  expect(trips).toEqual([2, 0]);
  await write(other, (tx) =>
    tx.run(
      sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values ('o', 'Ove', 2016, 'tennis', 'left', 0)`,
    ),
  );
  await new Promise((resolve) => setTimeout(resolve, 1.5 * serverHoldsMs));
  expect(await names()).toContain('Ove');
});

test('what this server wrote is seen at once', async () => {
  await names();
  value(await savePlayer(context, { name: 'Ilva', birthYear: 2016, sport: 'tennis', hand: 'left' }));
  expect(await names()).toContain('Ilva');
});

test('a write is done once, though requests are refused and answers lost all the time', async () => {
  Object.assign(server.dials, { refuse: 0.06, lose: 0.06 });
  const wanted = Array.from({ length: 12 }, (_, n) => `Child ${String(n).padStart(2, '0')}`);
  for (const name of wanted)
    value(await savePlayer(context, { name, birthYear: 2016, sport: 'tennis', hand: 'left', focus: 'x' }));
  Object.assign(server.dials, { refuse: 0, lose: 0 });
  expect((await names(other)).filter((name) => name.startsWith('Child'))).toEqual(wanted);
}, 60_000);

test('a whole session runs through it: plan, counts that come twice, results', async () => {
  const at = await oneBlockSession(context);
  const events = eventsOf('xxxx-xxx', at.block.id, at.playerIds[0]!, ids(9));
  Object.assign(server.dials, { refuse: 0.06, lose: 0.06 });
  for (let again = 0; again < 3; again++) value(await ingestTouches(context, { events }));
  Object.assign(server.dials, { refuse: 0, lose: 0 });
  await refreshAttempts(db);
  expect(await db.all(sql`select count(*) as n from touch_event where kind in ('touch', 'drop')`)).toEqual([
    { n: 8 },
  ]);
  expect((await db.all(sql`select result from attempt order by number`)).slice(0, 2)).toEqual([
    { result: 4 },
    { result: 3 },
  ]);
  expect((await sessionPlanView(context, at.sessionId))!.blocks).toHaveLength(1);
}, 60_000);

test('a server that is away for a while is waited for; one that stays away is said in one sentence', async () => {
  server.dials.away = true;
  setTimeout(() => (server.dials.away = false), 700);
  value(await savePlayer(context, { name: 'Yrsa', birthYear: 2016, sport: 'tennis', hand: 'left' }));
  expect(await names(other)).toContain('Yrsa');
  server.dials.away = true;
  const error = await names().then(
    () => null,
    (caught: unknown) => caught,
  );
  expect(troubleOf(error)?.message).toContain('database server cannot be reached');
  server.dials.away = false;
  expect(await names()).toContain('Yrsa');
}, 60_000);

test('a token that is not taken is said in one sentence', async () => {
  const locked = await libsqlStandIn(path.join(folder, 'locked.db'), { token: 'right' });
  const stranger = await openDatabase(locked.url, 'wrong');
  const error = await migrateDatabase(stranger).catch((caught: unknown) => caught);
  expect(troubleOf(error)?.kind).toBe('no-entry');
  stranger.$client.close();
  await locked.close();
});
