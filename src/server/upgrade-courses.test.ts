import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { migrateDatabase, openDatabase } from '@/data/client';
import { daysLater } from '@/core/plan/weekly';
import { plainBook } from '@/drills';
import { makeCourse } from './plan/course/courses';
import { loadPlan } from './plan/sessions';
import { ids, value } from './testing/scratch';
import { courseView } from './views/course';
import { coursesView } from './views/courses';

const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-courses-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

test('a book of before courses has none, keeps its sessions and their circuits, and a course can be made from one', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'old.db')}`);
  await migrateDatabase(db);
  const newId = ids(9);
  const [session, player, block] = [newId(0), newId(0), newId(0)];
  const part = {
    id: newId(0),
    at: 0,
    of: 2,
    stationS: 120,
    changeS: 20,
    times: 1,
    order: 'one on',
    helper: '',
    groups: [[player]],
  };
  const dose = JSON.stringify({ kind: 'row', target: 8, capS: 60 });
  for (const row of [
    sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${player}, 'Ada', 2016, 'tennis', 'right', 0)`,
    sql`insert into session (id, title, day, start_time, booked_min, state, created_at_ms) values (${session}, 'Old', '2026-11-24', '16:30', 45, 'planned', 0)`,
    sql`insert into session_player (session_id, player_id, position) values (${session}, ${player}, 0)`,
    sql`insert into block (id, session_id, position, drill_id, step_id, dose, circuit) values (${block}, ${session}, 0, 'palm-up-bounce', 'row-20', ${dose}, ${JSON.stringify(part)})`,
    sql`insert into ladder_place (player_id, drill_id, step_id, target, since_ms, why) values (${player}, 'palm-up-bounce', 'row-20', 18, 0, 'Put here.')`,
  ])
    await db.run(row);

  await migrateDatabase(db);
  const context = {
    db,
    nowMs: Date.parse('2026-11-24T12:00:00Z'),
    today: '2026-11-24',
    newId: () => newId(1),
  };
  expect(await coursesView(context)).toEqual([]);
  expect(value(await loadPlan(context, session)).blocks[0]!.circuit).toEqual(part);
  const ladder = plainBook.drill('palm-up-bounce')!.steps;
  const days = [0, 7, 14, 21].map((n) => daysLater('2026-12-01', n));
  const goal = { drillId: 'palm-up-bounce', stepId: ladder.at(-1)!.id };
  const { id } = value(await makeCourse(context, { title: 'To the top', ...goal, fromId: session, days }));
  const view = (await courseView(context, id))!;
  expect(view.sessions.map(({ day }) => day)).toEqual(days);
  expect(view.children[0]!.stands).toBe(ladder.findIndex((step) => step.id === 'row-20') + 1);
  db.$client.close();
});
