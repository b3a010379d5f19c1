import { blocksOfSessions, getSession, sessionsBetween } from '@/data/session';
import { ingestTouches } from '../court/ingest';
import { createSession, finishSession, loadPlan, removeSession, runToday, savePlan } from './sessions';
import { savePlayer } from '../players/squad';
import { ada, booking, eventsOf, ids, oneBlockSession, problem, scratch, value } from '../testing/scratch';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

test.each([
  [{ bookedMin: 0 }, 'bookedMin: Minutes is 0: book from 5 to 240 minutes.'],
  [{ bookedMin: 10_000 }, 'bookedMin: Minutes is 10000: book from 5 to 240 minutes.'],
  [{ bookedMin: 'long' }, 'bookedMin: Minutes must be a number'],
  [{ playerIds: [] }, 'playerIds: Players is empty: tick at least one player who is coming.'],
  [{ playerIds: ['nobody'] }, 'playerIds[0]: Player is not one of ours'],
  [
    { playerIds: ['01ARZ3NDEKTSV4RRFFQ69G5FAV'] },
    'playerIds: Players: somebody on the list is not on record',
  ],
  [{ title: '' }, 'title: Title is empty'],
  [{ day: '2026-02-30' }, 'day: Day is not in the calendar'],
  [{ day: 'tomorrow' }, 'day: Day must be a date'],
  [{ startTime: '25:00' }, 'startTime: Start must be a time'],
])('a booking with %j is refused by name, and nothing is written', async (change, message) => {
  const { id } = value(await savePlayer(box.context, ada));
  expect(problem(await createSession(box.context, { ...booking, playerIds: [id], ...change }))).toContain(
    message,
  );
  expect(await sessionsBetween(box.context.db, '0000', '9999')).toEqual([]);
});

test.each([
  [{ stepId: '' }, 'blocks[0].stepId: Step is missing: choose a step of the ladder.'],
  [{ stepId: 'no-such' }, 'blocks[0].stepId: Step no-such is not on this ladder'],
  [{ drillId: 'no-such' }, 'blocks[0].drillId: Drill no-such is not in the catalogue'],
  [
    { dose: { kind: 'row', target: -3, capS: 60 } },
    'blocks[0].dose: Target must be a whole number from 1 to 500.',
  ],
  [{ dose: { kind: 'row', target: 5 } }, 'blocks[0].dose: Time cap must be a whole number'],
  [{ dose: { kind: 'wish' } }, 'blocks[0].dose: Dose must be one of reps, row, timed'],
  [{ dose: null }, 'blocks[0].dose: Dose is missing'],
  [{ id: 'x' }, 'blocks[0].id: Block is not one of ours'],
  [
    { dose: { kind: 'timed', rounds: 1, workS: 20, restS: 0 } },
    'blocks[0].dose: Dose must be of the kind of its step, row',
  ],
  [{ changes: ['upside down'] }, 'blocks[0].changes[0]: Changes must be spices and easings'],
  [{ stations: 0 }, 'blocks[0].stations: Stations must be from 1 to 8.'],
  [{ breakS: 9999 }, 'blocks[0].breakS: Break must be from 0 to 600.'],
  [
    { own: [{ playerId: 'x', stepId: 'row-20', amount: 1 }] },
    'blocks[0].own[0].playerId: Player is not one of ours',
  ],
  [
    { own: [{ playerId: '01ARZ3NDEKTSV4RRFFQ69G5FAV', stepId: 'gone', amount: 1 }] },
    'blocks[0].own: A player’s own step gone is not on this ladder',
  ],
])('a block with %j is refused by name, and the plan stays', async (change, message) => {
  const { sessionId, plan, block } = await oneBlockSession(box.context);
  const outcome = await savePlan(box.context, sessionId, { ...plan, blocks: [{ ...block, ...change }] });
  expect(problem(outcome)).toContain(message);
  expect(value(await loadPlan(box.context, sessionId))).toEqual(plan);
});

test('two windows: the later save is refused until it knows of the first', async () => {
  const { sessionId, plan } = await oneBlockSession(box.context);
  value(await savePlan(box.context, sessionId, { ...plan, bookedMin: 45 }));
  expect(problem(await savePlan(box.context, sessionId, { ...plan, bookedMin: 60 }))).toContain(
    'revision: This plan was changed in another window',
  );
  expect((await getSession(box.context.db, sessionId))?.bookedMin).toBe(45);
  value(await savePlan(box.context, sessionId, { ...plan, bookedMin: 60, revision: 3 }));
});

test('blocks keep their ids through reorder, and fields nobody knows are left out', async () => {
  const { sessionId, plan, block } = await oneBlockSession(box.context);
  const second = {
    ...block,
    id: box.context.newId(),
    dose: { kind: 'row', target: 5, capS: 60, extra: 'x' },
  };
  value(await savePlan(box.context, sessionId, { ...plan, blocks: [second, block] }));
  const rows = await blocksOfSessions(box.context.db, [sessionId]);
  expect(rows.map((row) => row.id)).toEqual([second.id, block.id]);
  expect(JSON.parse(rows[0]!.dose)).toEqual({ kind: 'row', target: 5, capS: 60 });
});

test('what has counts cannot be taken out of the plan', async () => {
  const { context } = box;
  const { sessionId, plan, block, playerIds } = await oneBlockSession(context);
  value(await ingestTouches(context, { events: eventsOf('xx', block.id, playerIds[0]!, ids()) }));
  expect(problem(await savePlan(context, sessionId, { ...plan, blocks: [] }))).toContain(
    'counts are never thrown away',
  );
  expect(problem(await savePlan(context, sessionId, { ...plan, playerIds: [playerIds[1]] }))).toContain(
    'A player with counts',
  );
  value(await savePlan(context, sessionId, { ...plan, playerIds: [playerIds[0]] }));
});

test('a block of another session cannot be drawn into a plan', async () => {
  const first = await oneBlockSession(box.context);
  const second = await oneBlockSession(box.context);
  expect(
    problem(await savePlan(box.context, second.sessionId, { ...second.plan, blocks: [first.block] })),
  ).toContain('belongs to another session');
});

test('a session is started, finished, taken off the list and put back; unknown ones are named', async () => {
  const { context } = box;
  const { sessionId, block } = await oneBlockSession(context);
  const nextId = ids();
  const start = () => ({
    events: [{ ...eventsOf('x', block.id, null, nextId)[0]!, kind: 'start' as const }],
  });
  value(await ingestTouches(context, start()));
  value(await ingestTouches({ ...context, nowMs: context.nowMs + 5000 }, start()));
  expect(await getSession(context.db, sessionId)).toMatchObject({
    state: 'running',
    startedAtMs: context.nowMs,
  });
  value(await finishSession(context, sessionId));
  expect(await getSession(context.db, sessionId)).toMatchObject({ state: 'finished' });
  value(await removeSession(context, sessionId, true));
  expect(await sessionsBetween(context.db, '0000', '9999')).toEqual([]);
  value(await removeSession(context, sessionId, false));
  expect(await sessionsBetween(context.db, '0000', '9999')).toHaveLength(1);
  for (const act of [finishSession, loadPlan])
    expect(problem(await act(context, 'no-such'))).toContain('not on record');
});

test('a save whose answer was lost goes on from what it saved; anybody else’s does not', async () => {
  const { context } = box;
  const at = await oneBlockSession(context);
  const id = (n: number) => `01ARZ3NDEKTSV4RRFFQ69G5F${String(n).padStart(2, '0')}`;
  const save = (title: string, more: object) =>
    savePlan(context, at.sessionId, { ...at.plan, title, revision: 2, ...more });
  expect(value(await save('B', { saveId: id(1) }))).toEqual({ revision: 3 });
  // The very same again: it was done.
  expect(value(await save('B', { saveId: id(1) }))).toEqual({ revision: 3 });
  // Another one of the same screen, which never heard of the first.
  expect(value(await save('C', { saveId: id(2), unanswered: [id(1)] }))).toEqual({ revision: 4 });
  expect(problem(await save('D', { saveId: id(3), unanswered: [id(9)] }))).toContain(
    'changed in another window',
  );
  expect(problem(await save('D', {}))).toContain('changed in another window');
  expect(value(await loadPlan(context, at.sessionId))).toMatchObject({ title: 'C', revision: 4 });
});

test('a session of another day is moved to today when the coach says so; one that was begun stays', async () => {
  const at = await oneBlockSession(box.context);
  const days = async () => (await getSession(box.context.db, at.sessionId))!;
  const before = await days();
  const later = { ...box.context, today: '2026-12-24' };
  value(await runToday(later, at.sessionId));
  expect(await days()).toMatchObject({ day: '2026-12-24', revision: before.revision + 1 });
  // Pressed twice, it is moved once.
  value(await runToday(later, at.sessionId));
  expect(await days()).toMatchObject({ revision: before.revision + 1 });
  const [mark] = eventsOf('x', at.block.id, at.playerIds[0]!, ids());
  const start = { ...mark!, kind: 'start', playerId: null };
  value(await ingestTouches(later, { events: [start] }));
  value(await runToday({ ...later, today: '2026-12-25' }, at.sessionId));
  expect(await days()).toMatchObject({ day: '2026-12-24', state: 'running' });
  expect(problem(await runToday(later, 'nobody'))).toContain('not on record');
});
