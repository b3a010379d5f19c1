import { mkdtempSync, rmSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { migrateDatabase, openDatabase } from '@/data/client';
import { plainBook } from '@/drills';
import { makeCircuit } from '@/session/plan/circuits';
import { removeBlock } from '@/session/plan/edits';
import { openGround } from '@/session/plan/time-plan';
import { linkState, makeHelperLink } from './court/helper-links';
import { keepPattern } from './plan/patterns';
import { createSession, loadPlan, savePlan } from './plan/sessions';
import { problem, value } from './testing/scratch';
import { helperView, type HelperView } from './views/helper';
import { sessionRunView } from './views/session-run';

const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-circuits-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const id = (n: number) => `01ARZ3NDEKTSV4RRFFQ69G5F${String(n).padStart(2, '0')}`;
const [session, first, second] = [id(1), id(2), id(3)];
const players = [id(11), id(12), id(13)];

test('a book of before circuits: its blocks are done one after the other, its links go on, and a circuit can be made of them', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'old.db')}`);
  await migrateDatabase(db);
  const token = 'a'.repeat(22);
  const hash = createHash('sha256').update(token).digest('hex');
  const dose = JSON.stringify({ kind: 'row', target: 8, capS: 60 });
  for (const row of [
    sql`insert into session (id, title, day, start_time, booked_min, state, created_at_ms) values (${session}, 'Old', '2026-11-24', '16:30', 30, 'planned', 0)`,
    ...players.flatMap((player, at) => [
      sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${player}, ${`Child ${at}`}, 2016, 'tennis', 'right', 0)`,
      sql`insert into session_player (session_id, player_id, position) values (${session}, ${player}, ${at})`,
    ]),
    ...[first, second].flatMap((block, at) => [
      sql`insert into block (id, session_id, position, drill_id, step_id, dose) values (${block}, ${session}, ${at}, ${['palm-up-bounce', 'toss-and-catch'][at]}, ${at === 0 ? 'row-20' : plainBook.drill('toss-and-catch')!.steps[0]!.id}, ${dose})`,
    ]),
    sql`insert into helper_link (token_hash, scope, session_id, player_id, name, created_at_ms, expires_at_ms) values (${hash}, 'count', ${session}, ${players[0]}, 'Bo', 0, 900000000)`,
  ])
    await db.run(row);

  await migrateDatabase(db);
  let n = 20;
  const context = { db, nowMs: 1000, today: '2026-11-24', newId: () => id(n++) };
  const plan = value(await loadPlan(context, session));
  expect(plan.blocks.map(({ circuit }) => circuit)).toEqual([null, null]);
  expect(await linkState(context, token)).toMatchObject({
    kind: 'open',
    playerIds: [players[0]],
    blockId: null,
  });

  const setting = {
    book: plainBook,
    records: [],
    ground: openGround,
    players: players.map((player) => ({ id: player, age: 10 })),
  };
  const circuit = makeCircuit(setting, plan, [first, second], id(5));
  value(await savePlan(context, session, circuit));
  const stored = value(await loadPlan(context, session));
  expect(stored.blocks.map((block) => block.circuit)).toEqual(circuit.blocks.map((block) => block.circuit));
  const view = await sessionRunView(context, session);
  expect(view!.blocks.map(({ circuit: part, turnS }) => [part!.at, turnS])).toEqual([
    [0, 180],
    [1, 180],
  ]);

  // A link for a station counts whoever comes there, and goes with its block.
  const station = { name: 'Bo', blockId: second };
  const made = value(await makeHelperLink(context, session, null, station));
  expect(await linkState(context, made.token)).toMatchObject({
    kind: 'open',
    blockId: second,
    playerIds: players,
  });
  const seen = (await helperView(context, made.token)) as HelperView;
  expect(seen.blocks.map((one) => one.id)).toEqual([second]);
  const alien = { name: '', blockId: id(77) };
  expect(problem(await makeHelperLink(context, session, null, alien))).toContain('not in the session');

  // Kept as a pattern it has groups with nobody in them; whoever comes is dealt to them.
  const pattern = value(await keepPattern(context, session, { title: 'Two stations' }));
  const again = value(
    await createSession(context, {
      title: 'Next',
      day: '2026-12-01',
      startTime: '16:30',
      bookedMin: 30,
      coach: '',
      placeName: '',
      placeId: null,
      airC: null,
      playerIds: players.slice(1),
      patternId: pattern.id,
    }),
  );
  const next = value(await loadPlan(context, again.id));
  expect(next.blocks.map((block) => block.circuit!.groups)).toEqual([
    [[players[1]], [players[2]]],
    [[players[1]], [players[2]]],
  ]);
  // The station is taken out of the plan: the other is done by itself, and the link opens nothing any more.
  const now = value(await loadPlan(context, session));
  value(await savePlan(context, session, removeBlock(now, second)));
  expect(value(await loadPlan(context, session)).blocks.map((one) => one.circuit)).toEqual([null]);
  expect(await linkState(context, made.token)).toEqual({ kind: 'unknown' });
  db.$client.close();
});

test('a circuit with nobody in it, too many groups, or one child twice is refused or put in order', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'bad.db')}`);
  await migrateDatabase(db);
  await db.run(
    sql`insert into session (id, title, day, start_time, booked_min, state, created_at_ms) values (${session}, 'New', '2026-11-24', '16:30', 30, 'planned', 0)`,
  );
  for (const [at, player] of players.entries())
    await db.run(
      sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${player}, ${`Child ${at}`}, 2016, 'tennis', 'right', 0)`,
    );
  const context = { db, nowMs: 1000, today: '2026-11-24', newId: () => id(40) };
  const part = {
    id: id(5),
    at: 0,
    of: 2,
    stationS: 180,
    changeS: 30,
    times: 1,
    order: 'balanced',
    helper: '',
  };
  const plan = (circuit: unknown, count = 2) => ({
    title: 'New',
    day: '2026-11-24',
    startTime: '16:30',
    bookedMin: 30,
    coach: '',
    placeName: '',
    placeId: null,
    airC: null,
    playerIds: players,
    revision: 1,
    blocks: [first, second].slice(0, count).map((block) => ({
      id: block,
      drillId: 'palm-up-bounce',
      stepId: 'row-20',
      stations: 1,
      own: [],
      circuit,
      dose: { kind: 'row', target: 8, capS: 60 },
    })),
  });
  const says = async (circuit: unknown, count = 2) => {
    const outcome = await savePlan(context, session, plan(circuit, count));
    return outcome.ok ? 'saved' : outcome.problems[0]!.message;
  };
  expect(await says({ ...part, groups: [[players[0]], [players[0]]] })).toContain('in two groups');
  expect(await says({ ...part, groups: [] })).toContain('put somebody into a group');
  expect(await says({ ...part, groups: players.concat(id(14)).map((one) => [one]) })).toContain(
    'at most 3 groups',
  );
  expect(await says({ ...part, groups: [players] }, 1)).toContain('2 to 6 stations');
  expect(await says({ ...part, stationS: 5, groups: [players] })).toBe(
    'Time at a station must be from 30 to 900 seconds.',
  );
  expect(await says({ ...part, order: 'any', groups: [players] })).toContain('balanced, one on');
  // A child in no group joins the smallest; a number that cannot be is worked out again.
  expect(await says({ ...part, at: 5, of: 6, groups: [[players[0]], [players[1]]] })).toBe('saved');
  const stored = value(await loadPlan(context, session));
  expect(stored.blocks.map(({ circuit }) => [circuit!.at, circuit!.of, circuit!.groups])).toEqual(
    [0, 1].map((at) => [at, 2, [[players[0], players[2]], [players[1]]]]),
  );
  db.$client.close();
});
