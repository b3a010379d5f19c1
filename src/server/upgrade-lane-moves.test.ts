import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { migrateDatabase, openDatabase } from '@/data/client';
import { moveLanes } from './sessions/lanes';
import { firstMigrations } from './testing/first-migrations';
import { ids, value } from './testing/scratch';
import { sessionSetOutView } from './views/session-set-out';

const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-lanes-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

test('in a book of before lanes were kept in it none is moved, and one can be', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'old.db')}`);
  await migrate(db, { migrationsFolder: firstMigrations(folder, 17) });
  const newId = ids(9);
  const [session, block] = [newId(0), newId(0)];
  const dose = JSON.stringify({ kind: 'timed', rounds: 2, workS: 30, restS: 30 });
  for (const row of [
    sql`insert into session (id, title, day, start_time, booked_min, state, created_at_ms) values (${session}, 'Old', '2026-11-24', '16:30', 45, 'planned', 0)`,
    sql`insert into block (id, session_id, position, drill_id, step_id, dose) values (${block}, ${session}, 0, 'marker-touches', 'wide', ${dose})`,
  ])
    await db.run(row);
  await migrateDatabase(db);
  const context = {
    db,
    nowMs: Date.parse('2026-11-24T12:00:00Z'),
    today: '2026-11-24',
    newId: () => newId(1),
  };
  expect(await sessionSetOutView(context, session)).toMatchObject({ moves: [], session: { title: 'Old' } });
  const move = { blockId: block, lane: 0, xM: 1, yM: 2, turned: false };
  value(await moveLanes(context, session, { moves: [move] }));
  expect((await sessionSetOutView(context, session))!.moves).toEqual([move]);
  db.$client.close();
});
