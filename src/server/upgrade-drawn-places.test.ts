import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { migrateDatabase, openDatabase } from '@/data/client';
import { listPlaces } from '@/data/places';
import { savePlace } from './venues/venues';
import { knownPlace } from './readers/known-place';
import { ids, value } from './testing/scratch';
import { sessionSetOutView } from './views/session-set-out';

const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-places-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

test('places of before they were drawn are bare, are set out in as before, and can be drawn', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'old.db')}`);
  await migrateDatabase(db);
  const newId = ids(9);
  const [session, player, block, place] = [newId(0), newId(0), newId(0), newId(0)];
  const dose = JSON.stringify({ kind: 'timed', rounds: 2, workS: 20, restS: 20 });
  for (const row of [
    sql`insert into place (id, name, length_m, width_m, surface, wall_m, tables, created_at_ms) values (${place}, 'Old hall', 12, 6, 'wood', 5, 0, 0)`,
    sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${player}, 'Ada', 2016, 'tennis', 'right', 0)`,
    sql`insert into session (id, title, day, start_time, booked_min, state, place_id, created_at_ms) values (${session}, 'Old', '2026-11-24', '16:30', 45, 'planned', ${place}, 0)`,
    sql`insert into session_player (session_id, player_id, position) values (${session}, ${player}, 0)`,
    sql`insert into block (id, session_id, position, drill_id, step_id, dose) values (${block}, ${session}, 0, 'marker-touches', 'narrow', ${dose})`,
    sql`insert into block_player (block_id, player_id, step_id) values (${block}, ${player}, 'narrow')`,
  ])
    await db.run(row);
  await migrateDatabase(db);

  const known = (await listPlaces(db)).map(knownPlace)[0]!;
  expect(known).toMatchObject({ name: 'Old hall', wallSide: null, things: [] });
  const context = {
    db,
    nowMs: Date.parse('2026-11-24T12:00:00Z'),
    today: '2026-11-24',
    newId: () => newId(1),
  };
  const marks = async () => {
    const { slots } = (await sessionSetOutView(context, session))!.setOut!;
    return slots[0]!.blocks[0]!;
  };
  const before = await marks();
  expect(before.problem).toBeNull();
  expect(before.lanes).toHaveLength(1);

  // A pillar where the lane was: it is laid beside it; a floor full of benches has no room for it.
  const form = { name: 'Old hall', lengthM: 12, widthM: 6, surface: 'wood', wallM: 5, tables: 0 };
  const pillar = { kind: 'pillar', xM: 1, yM: 1, widthM: 0.4, depthM: 0.4 };
  value(await savePlace(context, { ...form, wallSide: 'long', things: [pillar] }, place));
  const beside = await marks();
  expect(beside.lanes[0]!.room).not.toEqual(before.lanes[0]!.room);
  const bench = { kind: 'bench', xM: 0, yM: 1, widthM: 12, depthM: 4 };
  value(await savePlace(context, { ...form, things: [bench] }, place));
  expect((await marks()).problem).toMatch(/it needs .* and there is less/);

  // A pillar outside the room is told, and nothing of it is kept.
  const outside = await savePlace(context, { ...form, things: [{ ...pillar, xM: 12 }] }, place);
  expect(outside.ok).toBe(false);
  if (!outside.ok) expect(outside.problems[0]!.message).toMatch(/^The pillar ends 12.4 m along/);
  expect((await listPlaces(db)).map(knownPlace)[0]!.things).toEqual([bench]);
  db.$client.close();
});
