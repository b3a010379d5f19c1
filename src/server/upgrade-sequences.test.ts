import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { migrateDatabase, openDatabase } from '@/data/client';
import { saveSequence } from './house/sequences';
import { loadPlan } from './sessions/sessions';
import { firstMigrations } from './testing/first-migrations';
import { ids, value } from './testing/scratch';
import { sequencesView } from './views/sequences';

const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-sequences-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

test('a book of before there were sequences has none, its plans are as they were, and one can be kept', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'old.db')}`);
  await migrate(db, { migrationsFolder: firstMigrations(folder, 16) });
  const newId = ids(9);
  const [session, block] = [newId(0), newId(0)];
  const dose = JSON.stringify({ kind: 'timed', rounds: 2, workS: 30, restS: 30 });
  for (const row of [
    sql`insert into session (id, title, day, start_time, booked_min, state, created_at_ms) values (${session}, 'Old', '2026-11-24', '16:30', 45, 'planned', 0)`,
    sql`insert into block (id, session_id, position, drill_id, step_id, dose) values (${block}, ${session}, 0, 'shadow-patterns', 'pivot', ${dose})`,
  ])
    await db.run(row);
  await migrateDatabase(db);
  const context = {
    db,
    nowMs: Date.parse('2026-11-24T12:00:00Z'),
    today: '2026-11-24',
    newId: () => newId(1),
  };
  expect((await sequencesView(context)).sequences).toEqual([]);
  expect(value(await loadPlan(context, session)).blocks[0]).toMatchObject({ stepId: 'pivot', setting: null });
  value(
    await saveSequence(context, {
      name: 'First',
      sport: 'tennis',
      ground: 'chalk',
      line: 'fh corner, bh corner',
    }),
  );
  expect((await sequencesView(context)).sequences.map(({ name }) => name)).toEqual(['First']);
  db.$client.close();
});
