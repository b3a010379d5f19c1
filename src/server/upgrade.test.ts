import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { migrateDatabase, openDatabase } from '@/data/client';
import { loadPlan, savePlan } from './sessions';
import { value } from './testing/scratch';
import { sessionPlanView } from './views/session-plan';
import { sessionReviewView } from './views/session-review';
import { sessionRunView } from './views/session-run';

/* A book that was kept with the first version of the schema opens with everything in it. */
const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-upgrade-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** The migrations as they were with the first version. */
function firstMigrations(): string {
  const to = path.join(folder, 'drizzle');
  cpSync(path.join(process.cwd(), 'drizzle'), to, { recursive: true });
  const journal = path.join(to, 'meta', '_journal.json');
  const { entries, ...rest } = JSON.parse(readFileSync(journal, 'utf8')) as { entries: unknown[] };
  writeFileSync(journal, JSON.stringify({ ...rest, entries: entries.slice(0, 1) }));
  return to;
}

const id = (n: number) => `01ARZ3NDEKTSV4RRFFQ69G5F${String(n).padStart(2, '0')}`;
const [player, session, block] = [id(1), id(2), id(3)];

test('plans, counts, decisions and targets of the first version are all there, and go on', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'old.db')}`);
  await migrate(db, { migrationsFolder: firstMigrations() });
  const dose = JSON.stringify({ kind: 'row', target: 20, capS: 120 });
  for (const row of [
    sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${player}, 'Ada', 2016, 'tennis', 'right', 0)`,
    sql`insert into session (id, title, day, start_time, booked_min, state, created_at_ms) values (${session}, 'Old', '2026-11-20', '16:30', 30, 'finished', 0)`,
    sql`insert into session_player (session_id, player_id, position) values (${session}, ${player}, 0)`,
    sql`insert into block (id, session_id, position, drill_id, step_id, dose) values (${block}, ${session}, 0, 'palm-up-bounce', 'row-20', ${dose})`,
    sql`insert into block_player (block_id, player_id, target, stale) values (${block}, ${player}, 18, 1)`,
    sql`insert into ladder_place (player_id, drill_id, step_id, target, since_ms, why) values (${player}, 'palm-up-bounce', 'row-20', 18, 0, 'Held.')`,
    ...[1, 2, 3].map(
      (n) => sql`insert into touch_event (id, block_id, player_id, kind, attempt, at_ms, mono_ms, device)
                 values (${id(10 + n)}, ${block}, ${player}, 'touch', 1, ${n * 600}, ${n * 600}, 'old')`,
    ),
  ])
    await db.run(row);

  await migrateDatabase(db);
  const context = { db, nowMs: 0, today: '2026-11-24', newId: () => id(99) };
  const plan = value(await loadPlan(context, session));
  expect(plan).toMatchObject({ title: 'Old', placeId: null, airC: null, playerIds: [player] });
  expect(plan.blocks).toEqual([
    {
      id: block,
      drillId: 'palm-up-bounce',
      stepId: 'row-20',
      dose: JSON.parse(dose) as unknown,
      changes: [],
      setting: null,
      stations: 1,
      breakS: 0,
      retest: false,
      own: [],
    },
  ]);
  expect((await sessionReviewView(context, session))!.blocks[0]!.lines).toMatchObject([
    { playerId: player, stepId: 'row-20', tally: { best: 3, touches: 3 } },
  ]);
  expect((await sessionRunView(context, session))!.blocks[0]!.players).toMatchObject([
    { target: 18, bestEver: null },
  ]);
  expect((await sessionPlanView(context, session))!.places).toEqual([
    [player, 'palm-up-bounce', 'row-20', 18],
  ]);
  // It can be changed as before: what has counts stays on its step.
  value(await savePlan(context, session, { ...plan, bookedMin: 45 }));
  expect(value(await loadPlan(context, session))).toMatchObject({
    bookedMin: 45,
    revision: 2,
    blocks: plan.blocks,
  });
  db.$client.close();
});
