import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { migrateDatabase, openDatabase } from '@/data/client';
import { getSession } from '@/data/session';
import { getPlayer } from '@/data/squad';
import { upgradeRecords } from './court/complete-records';
import { refreshAttempts } from './court/results';
import { addNote } from './notes/notes';
import { patternsView } from './readers/patterns';
import { keepPattern } from './plan/patterns';
import { loadPlan, savePlan } from './plan/sessions';
import { createHash } from 'node:crypto';
import { whoComes } from './access/sign-in';
import { linkState } from './court/helper-links';
import { value } from './testing/scratch';
import { sessionPlanView } from './views/session-plan';
import { makeChallenge } from './challenges/challenges';
import { saveLedger } from './players/ledger';
import { boardView } from './views/challenges';
import { playerView } from './views/player';
import { progressView } from './views/progress';
import { vowsView } from './views/vows';
import { calendarFor } from './plan/calendar';
import { makeVow } from './vows/vows';
import { sessionReviewView } from './views/session-review';
import { sessionRunView } from './views/session-run';

/*
 * Rows that were written before a column or a record came have its default in it. They mean what they meant, and work goes on
 * from them. (That a database of the last schema opens as it is, is in upgrade-baseline.test.)
 */
const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-upgrade-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const id = (n: number) => `01ARZ3NDEKTSV4RRFFQ69G5F${String(n).padStart(2, '0')}`;
const [player, session, block] = [id(1), id(2), id(3)];

test('plans, counts, decisions and targets of the first version are all there, and go on', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'old.db')}`);
  await migrateDatabase(db);
  const dose = JSON.stringify({ kind: 'row', target: 20, capS: 120 });
  for (const row of [
    sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${player}, 'Ada', 2016, 'tennis', 'right', 0)`,
    sql`insert into session (id, title, day, start_time, booked_min, state, created_at_ms) values (${session}, 'Old', '2026-11-20', '16:30', 30, 'finished', 0)`,
    sql`insert into session_player (session_id, player_id, position) values (${session}, ${player}, 0)`,
    sql`insert into block (id, session_id, position, drill_id, step_id, dose) values (${block}, ${session}, 0, 'palm-up-bounce', 'row-20', ${dose})`,
    sql`insert into block_player (block_id, player_id, stale) values (${block}, ${player}, 1)`,
    sql`insert into ladder_place (player_id, drill_id, step_id, target, since_ms, why) values (${player}, 'palm-up-bounce', 'row-20', 18, 0, 'Held.')`,
    ...[1, 2, 3].map(
      (n) => sql`insert into touch_event (id, block_id, player_id, kind, attempt, at_ms, mono_ms, device)
                 values (${id(10 + n)}, ${block}, ${player}, 'touch', 1, ${n * 600}, ${n * 600}, 'old')`,
    ),
  ])
    await db.run(row);

  await migrateDatabase(db);
  await refreshAttempts(db);
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
      circuit: null,
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

test('a book of before records were whole: what was held is written down, and later changes leave it alone', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'records.db')}`);
  await migrateDatabase(db);
  const dose = { kind: 'row', target: 20, capS: 120 };
  const half = JSON.stringify({
    drillId: 'palm-up-bounce',
    stepId: 'row-20',
    dose,
    changes: ['walking'],
    stations: 1,
    setting: null,
    scoring: { zones: {}, bounceRule: null },
    turns: 1,
    turnS: 60,
    atOnce: 1,
    players: [{ playerId: player, stepId: 'row-20', amount: 15, out: false, target: 18, ball: null }],
  });
  const event = (n: number, kind: string, who: string | null, text: string | null = null) =>
    sql`insert into touch_event (id, block_id, player_id, kind, attempt, text, at_ms, mono_ms, device)
        values (${id(10 + n)}, ${block}, ${who}, ${kind}, 1, ${text}, ${n * 600}, ${n * 600}, 'old')`;
  for (const row of [
    sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${player}, 'Ada', 2017, 'tennis', 'right', 0)`,
    sql`insert into session (id, title, day, start_time, booked_min, state, created_at_ms) values (${session}, 'Old', '2026-11-20', '16:30', 30, 'finished', 0)`,
    sql`insert into session_player (session_id, player_id, position) values (${session}, ${player}, 0)`,
    sql`insert into block (id, session_id, position, drill_id, step_id, dose) values (${block}, ${session}, 0, 'palm-up-bounce', 'row-20', ${JSON.stringify(dose)})`,
    sql`insert into block_player (block_id, player_id, step_id, amount, stale) values (${block}, ${player}, 'row-20', 15, 1)`,
    sql`insert into decision (block_id, player_id, drill_id, step_id, verdict, next_step_id, target, reason, overridden, decided_at_ms)
        values (${block}, ${player}, 'palm-up-bounce', 'row-20', 'hold', 'row-20', 16, 'Held.', 0, 0)`,
    event(1, 'begun', null, half),
    ...[2, 3, 4].map((n) => event(n, 'touch', player)),
  ])
    await db.run(row);

  await migrateDatabase(db);
  await upgradeRecords(db);
  await refreshAttempts(db);
  const context = { db, nowMs: 0, today: '2028-11-24', newId: () => id(99) };
  // Two years later: changes, mark and evidence are those of the day; a decision without evidence says nothing.
  const [seen] = (await sessionReviewView(context, session))!.blocks[0]!.lines;
  expect(seen).toMatchObject({
    gate: { result: 15, days: 2 },
    tally: { best: 3, touches: 3 },
    decided: { verdict: 'hold', target: 16, was: null },
  });
  expect(value(await loadPlan(context, session)).blocks[0]).toMatchObject({ changes: ['walking'] });
  const records = await db.all<{ text: string }>(
    sql`select text from touch_event where kind = 'begun' order by id`,
  );
  expect(records).toHaveLength(2);
  expect(records.map(({ text }) => (JSON.parse(text) as { held?: unknown }).held ?? null)).toContainEqual(
    expect.objectContaining({ day: '2026-11-20', place: '', ages: { [player]: 9 } }),
  );
  db.$client.close();
});

test('a book of the smaller catalogue: what was held stays under the marks and ways of counting it had', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'catalogue.db')}`);
  await migrateDatabase(db);
  // Line by line in those days, 21 on each; and the lob was counted by the catch, in a row.
  const held = [
    {
      block: id(3),
      drillId: 'growing-hops',
      stepId: 'two-lines',
      next: 'three-lines',
      measure: 'reps',
      result: 21,
      rounds: [21, 21],
    },
    {
      block: id(4),
      drillId: 'retreat-for-the-high-ball',
      stepId: 'catch-the-lob',
      next: 'hit-one-catch-one',
      measure: 'row',
      result: 5,
      rounds: [4],
    },
  ] as const;
  const doses = {
    reps: { kind: 'growing', lines: 2, to: 6, restS: 15 },
    row: { kind: 'row', target: 5, capS: 150 },
  } as const;
  const rows = [
    sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${player}, 'Ada', 2015, 'tennis', 'right', 0)`,
    sql`insert into session (id, title, day, start_time, booked_min, state, created_at_ms) values (${session}, 'Old', '2026-11-20', '16:30', 30, 'finished', 0)`,
    sql`insert into session_player (session_id, player_id, position, attendance) values (${session}, ${player}, 0, 'here')`,
  ];
  let n = 10;
  for (const [position, { block: own, drillId, stepId, next, measure, result, rounds }] of held.entries()) {
    const dose = doses[measure];
    const marks = { '10-12': { result, days: 1 } };
    const begun = JSON.stringify({
      drillId,
      stepId,
      dose,
      changes: [],
      stations: 1,
      setting: null,
      turns: 1,
      turnS: 60,
      atOnce: 1,
      scoring: { zones: {}, bounceRule: null },
      players: [{ playerId: player, stepId, amount: null, out: false, target: null, ball: null }],
      held: {
        day: '2026-11-20',
        place: '',
        placeId: null,
        coach: '',
        own: {},
        ages: { [player]: 11 },
        ladder: [
          { id: stepId, measure, marks },
          { id: next, measure, marks },
        ],
      },
    });
    const event = (kind: string, who: string | null, attempt: number, text: string | null = null) => {
      n += 1;
      return sql`insert into touch_event (id, block_id, player_id, kind, attempt, text, at_ms, mono_ms, device)
                 values (${`01ARZ3NDEKTSV4RRFFQ69G6${String(n).padStart(3, '0')}`}, ${own}, ${who}, ${kind}, ${attempt}, ${text}, ${n * 600}, ${n * 600}, 'old')`;
    };
    rows.push(
      sql`insert into block (id, session_id, position, drill_id, step_id, dose) values (${own}, ${session}, ${position}, ${drillId}, ${stepId}, ${JSON.stringify(dose)})`,
      sql`insert into block_player (block_id, player_id, stale) values (${own}, ${player}, 1)`,
      sql`insert into ladder_place (player_id, drill_id, step_id, target, since_ms, why) values (${player}, ${drillId}, ${stepId}, ${result}, 0, 'Held.')`,
      event('begun', null, 1, begun),
      ...rounds.flatMap((touches, round) =>
        Array.from({ length: touches }, () => event('touch', player, round + 1)),
      ),
    );
  }
  for (const row of rows) await db.run(row);

  await migrateDatabase(db);
  await upgradeRecords(db);
  await refreshAttempts(db);
  const context = { db, nowMs: 0, today: '2026-11-26', newId: () => id(99) };
  const lines = (await sessionReviewView(context, session))!.blocks.map(({ lines: [line] }) => line!);
  expect(lines).toMatchObject([
    {
      stepId: 'two-lines',
      gate: { result: 21 },
      tally: { best: 21, touches: 42 },
      schools: { byDefault: { verdict: 'up' } },
    },
    {
      stepId: 'catch-the-lob',
      gate: { result: 5 },
      tally: { best: 4, touches: 4 },
      schools: { byDefault: { verdict: 'hold' } },
    },
  ]);
  // Where they stand is where they stood, and the next plan asks for what the steps ask for now.
  const { places } = (await sessionPlanView(context, session))!;
  expect(places.map(([, drillId, stepId]) => [drillId, stepId])).toEqual(
    expect.arrayContaining(held.map(({ drillId, stepId }) => [drillId, stepId])),
  );
  db.$client.close();
});

test('half a character that was stored before is put right before anything is read, and the log keeps its numbers', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'poisoned.db')}`);
  await migrateDatabase(db);
  const broken = (text: string) => sql`json_extract(${JSON.stringify([text])}, '$[0]')`;
  for (const row of [
    sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${player}, ${broken('Ada \ud83c')}, 2016, 'tennis', 'right', 0)`,
    sql`insert into focus (id, player_id, text, since_ms) values ('f', ${player}, ${broken('\udfbe Quiet')}, 0)`,
    sql`insert into session (id, title, day, start_time, booked_min, created_at_ms) values (${session}, ${broken('Thurs\0day')}, '2026-11-20', '16:30', 30, 0)`,
    sql`insert into block (id, session_id, position, drill_id, step_id, dose, setting) values (${block}, ${session}, 0, 'palm-up-bounce', 'row-20', '{}', ${JSON.stringify({ kind: 'feeder', name: 'Deep \ud83c' })})`,
    sql`insert into block_player (block_id, player_id) values (${block}, ${player})`,
    ...[1, 2, 3].map(
      (
        n,
      ) => sql`insert into touch_event (rowid, id, block_id, player_id, kind, attempt, text, by, at_ms, mono_ms, device)
                 values (${7 * n}, ${id(10 + n)}, ${block}, ${player}, 'note', 1, ${n === 2 ? broken('Soft \ud83c') : 'Whole \ud83c\udfbe'}, ${broken('J\0oss')}, 1, 1, 'old')`,
    ),
  ])
    await db.run(row);

  await migrateDatabase(db);
  expect(await getPlayer(db, player)).toMatchObject({ name: 'Ada \ufffd', focus: '\ufffd Quiet' });
  expect((await getSession(db, session))!.title).toBe('Thursday');
  const [set] = await db.all<{ setting: string }>(sql`select setting from block`);
  expect(JSON.parse(set!.setting)).toEqual({ kind: 'feeder', name: 'Deep \ufffd' });
  expect(await db.all(sql`select seq, text, by from touch_event order by seq`)).toEqual([
    { seq: 7, text: 'Whole \ud83c\udfbe', by: 'Joss' },
    { seq: 14, text: 'Soft \ufffd', by: 'Joss' },
    { seq: 21, text: 'Whole \ud83c\udfbe', by: 'Joss' },
  ]);
  db.$client.close();
});

test('a book of before patterns and notes: its plans can be kept, and its sessions written on', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'every-day.db')}`);
  await migrateDatabase(db);
  const dose = JSON.stringify({ kind: 'row', target: 20, capS: 120 });
  for (const row of [
    sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${player}, 'Ada', 2016, 'tennis', 'right', 0)`,
    sql`insert into session (id, title, day, start_time, booked_min, state, created_at_ms) values (${session}, 'Old', '2026-11-20', '16:30', 30, 'finished', 0)`,
    sql`insert into session_player (session_id, player_id, position) values (${session}, ${player}, 0)`,
    sql`insert into block (id, session_id, position, drill_id, step_id, dose) values (${block}, ${session}, 0, 'palm-up-bounce', 'row-20', ${dose})`,
    sql`insert into block_player (block_id, player_id) values (${block}, ${player})`,
  ])
    await db.run(row);
  await migrateDatabase(db);
  let next = 50;
  const context = { db, nowMs: 0, today: '2026-11-24', newId: () => id((next += 1)) };
  value(await keepPattern(context, session, { title: 'Old ways' }));
  value(await addNote(context, { sessionId: session, blockId: block, text: 'Too fast' }));
  expect((await sessionReviewView(context, session))!.written.notes).toMatchObject([{ text: 'Too fast' }]);
  expect(await patternsView(context)).toMatchObject([{ title: 'Old ways', drills: ['Palm-up bounce'] }]);
  db.$client.close();
});

test('a book of before coaches: nobody signs in, and a helper’s link of then still counts', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'doors.db')}`);
  await migrateDatabase(db);
  const token = 'A'.repeat(22);
  const hash = createHash('sha256').update(token).digest('hex');
  for (const row of [
    sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${player}, 'Ada', 2016, 'tennis', 'right', 0)`,
    sql`insert into session (id, title, day, start_time, booked_min, state, created_at_ms) values (${session}, 'Old', '2026-11-20', '16:30', 30, 'running', 0)`,
    sql`insert into session_player (session_id, player_id, position) values (${session}, ${player}, 0)`,
    sql`insert into helper_link (token_hash, scope, session_id, player_id, name, created_at_ms, expires_at_ms, uses) values (${hash}, 'count', ${session}, ${player}, 'Bram', 0, 1000, 3)`,
  ])
    await db.run(row);
  await migrateDatabase(db);
  const context = { db, nowMs: 500, today: '2026-11-24', newId: () => id(90) };
  expect(await linkState(context, token)).toMatchObject({
    kind: 'open',
    playerIds: [player],
    by: 'Bram (helper)',
  });
  expect(await linkState({ ...context, nowMs: 2000 }, token)).toEqual({ kind: 'expired' });
  expect(await whoComes(context, undefined)).toEqual({ kept: false, who: null });
  db.$client.close();
});

test('a book of before judgement: its log says how good they are, a focus gets its ledger, a challenge is made', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'judgement.db')}`);
  await migrateDatabase(db);
  const dose = JSON.stringify({ kind: 'row', target: 20, capS: 120 });
  for (const row of [
    sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${player}, 'Ada', 2016, 'tennis', 'right', 0)`,
    sql`insert into focus (id, player_id, text, since_ms) values (${id(7)}, ${player}, 'Quiet arm', 0)`,
    sql`insert into session (id, title, day, start_time, booked_min, state, created_at_ms) values (${session}, 'Old', '2026-11-20', '16:30', 30, 'finished', 0)`,
    sql`insert into session_player (session_id, player_id, position) values (${session}, ${player}, 0)`,
    sql`insert into block (id, session_id, position, drill_id, step_id, dose) values (${block}, ${session}, 0, 'palm-up-bounce', 'row-20', ${dose})`,
    sql`insert into block_player (block_id, player_id) values (${block}, ${player})`,
    sql`insert into attempt (block_id, player_id, number, drill_id, step_id, day, result, touches, drops, started_ms, touching_ms)
        values (${block}, ${player}, 1, 'palm-up-bounce', 'row-20', '2026-11-20', 18, 18, 1, 0, 0)`,
  ])
    await db.run(row);
  await migrateDatabase(db);
  let next = 70;
  const context = { db, nowMs: 0, today: '2026-11-24', newId: () => id((next += 1)) };
  const before = (await progressView(context, player))!;
  expect(before.ladders).toMatchObject([{ drillId: 'palm-up-bounce', stepId: 'row-20', odds: { days: 1 } }]);
  expect(before.foci).toMatchObject([{ text: 'Quiet arm', goal: null, forecast: null }]);
  value(await saveLedger(context, player, { goal: 2000, drillIds: ['palm-up-bounce'] }));
  expect((await progressView(context, player))!.foci[0]!.forecast).toMatchObject({ done: 18, goal: 2000 });
  const made = await makeChallenge(context, {
    title: 'Rope week',
    kind: 'best',
    drillId: 'palm-up-bounce',
    stepId: 'row-20',
    fromDay: '2026-11-24',
    untilDay: '2026-11-30',
    playerIds: [player],
  });
  expect((await boardView(context, value(made).id))!.board.lines[0]!.words).toBe(
    '19 in a row is a new best.',
  );
  db.$client.close();
});

test('a book of before vows: what was counted was on court, its links still open, and a vow is made', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'vows.db')}`);
  await migrateDatabase(db);
  const dose = JSON.stringify({ kind: 'row', target: 20, capS: 120 });
  const token = 'B'.repeat(22);
  const hash = createHash('sha256').update(token).digest('hex');
  for (const row of [
    sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${player}, 'Ada', 2016, 'tennis', 'right', 0)`,
    sql`insert into session (id, title, day, start_time, booked_min, state, created_at_ms) values (${session}, 'Old', '2026-11-20', '16:30', 30, 'finished', 0)`,
    sql`insert into session_player (session_id, player_id, position) values (${session}, ${player}, 0)`,
    sql`insert into block (id, session_id, position, drill_id, step_id, dose) values (${block}, ${session}, 0, 'palm-up-bounce', 'row-20', ${dose})`,
    sql`insert into block_player (block_id, player_id) values (${block}, ${player})`,
    sql`insert into attempt (block_id, player_id, number, drill_id, step_id, day, result, touches, drops, started_ms, touching_ms)
        values (${block}, ${player}, 1, 'palm-up-bounce', 'row-20', '2026-11-20', 18, 18, 1, 0, 0)`,
    sql`insert into helper_link (token_hash, scope, name, created_at_ms, expires_at_ms, uses) values (${hash}, 'calendar', 'Hall', 0, 1000, 0)`,
  ])
    await db.run(row);
  await migrateDatabase(db);
  let next = 10;
  const context = { db, nowMs: 500, today: '2026-11-24', newId: () => id((next += 1)) };
  expect(await db.all(sql`select kind, (select home from attempt) as home from session`)).toEqual([
    { kind: 'court', home: 0 },
  ]);
  expect((await playerView(context, player))!.bests).toMatchObject([{ best: 18, homeBest: null }]);
  expect((await calendarFor(context, token))!).toContain('SUMMARY:Old');
  const made = await makeVow(context, player, {
    parts: [{ drillId: 'palm-up-bounce', stepId: 'row-20', dose: JSON.parse(dose) as unknown }],
    aim: { kind: 'mark' },
    weekdays: [2, 4],
    minutes: 5,
    fromDay: '2026-11-24',
    untilDay: '2026-12-03',
  });
  value(made);
  expect((await vowsView(context)).lines).toMatchObject([{ name: 'Ada', state: 'runs' }]);
  db.$client.close();
});

test('a book of before hands: what was done with the other one is known again from its log, the rest is left', async () => {
  const db = await openDatabase(`file:${path.join(folder, 'hands.db')}`);
  await migrateDatabase(db);
  const dose = { kind: 'row', target: 20, capS: 120 };
  const other = id(5);
  const begun = (changes: string[]) =>
    JSON.stringify({
      drillId: 'palm-up-bounce',
      stepId: 'row-20',
      dose,
      changes,
      stations: 1,
      setting: null,
      scoring: { zones: {}, bounceRule: null },
      turns: 1,
      turnS: 60,
      atOnce: 1,
      players: [{ playerId: player, stepId: 'row-20', amount: 15, out: false, target: 18, ball: null }],
    });
  for (const row of [
    sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${player}, 'Ada', 2016, 'tennis', 'right', 0)`,
    sql`insert into session (id, title, day, start_time, booked_min, state, created_at_ms) values (${session}, 'Old', '2026-11-20', '16:30', 30, 'finished', 0)`,
    sql`insert into session_player (session_id, player_id, position) values (${session}, ${player}, 0)`,
  ])
    await db.run(row);
  for (const [at, blockId] of [block, other].entries()) {
    const changes = at === 0 ? ['other hand'] : [];
    for (const row of [
      sql`insert into block (id, session_id, position, drill_id, step_id, dose, changes) values (${blockId}, ${session}, ${at}, 'palm-up-bounce', 'row-20', ${JSON.stringify(dose)}, ${JSON.stringify(changes)})`,
      sql`insert into block_player (block_id, player_id, stale) values (${blockId}, ${player}, 1)`,
      sql`insert into attempt (block_id, player_id, number, drill_id, step_id, day, result, touches, drops, started_ms, touching_ms)
          values (${blockId}, ${player}, 1, 'palm-up-bounce', 'row-20', '2026-11-20', 2, 2, 0, 600, 600)`,
      sql`insert into touch_event (id, block_id, player_id, kind, attempt, text, at_ms, mono_ms, device)
          values (${id(20 + at)}, ${blockId}, null, 'begun', 1, ${begun(changes)}, 0, 0, 'old')`,
      ...[1, 2].map(
        (n) => sql`insert into touch_event (id, block_id, player_id, kind, attempt, at_ms, mono_ms, device)
                   values (${id(30 + 2 * at + n)}, ${blockId}, ${player}, 'touch', 1, ${n * 600}, ${n * 600}, 'old')`,
      ),
    ])
      await db.run(row);
  }
  await migrateDatabase(db);
  await upgradeRecords(db);
  await refreshAttempts(db);
  expect(
    await db.all(sql`select block_id as id, other_hand as hand from attempt order by hand desc`),
  ).toEqual([
    { id: block, hand: 1 },
    { id: other, hand: 0 },
  ]);
  db.$client.close();
});
