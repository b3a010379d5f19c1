import { attendanceOf } from '@/data/session';
import { getPlayer } from '@/data/squad';
import { ingestTouches } from '../court/ingest';
import { savePlayer } from '../players/squad';
import { ada, eventsOf, oneBlockSession, problem, scratch, value } from '../testing/scratch';
import { sessionRunView } from '../views/session-run';
import { whoElse } from '../views/who-else';
import { joinSession } from './join';
import { loadPlan } from './sessions';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

test('a forgotten child joins in the middle of a block that has counts: a part, a turn, and here', async () => {
  const { context } = box;
  const { sessionId, playerIds, block } = await oneBlockSession(context);
  const { id } = value(await savePlayer(context, { ...ada, name: 'Cy', sure: true }));
  value(
    await ingestTouches(context, { events: eventsOf('xxx', block.id, playerIds[0]!, () => context.newId()) }),
  );
  expect(await whoElse(context, sessionId)).toEqual({ others: [{ id, name: 'Cy' }], sport: 'tennis' });
  expect(value(await joinSession(context, sessionId, { playerId: id }))).toEqual({
    playerId: id,
    name: 'Cy',
  });
  const plan = value(await loadPlan(context, sessionId));
  expect(plan).toMatchObject({ playerIds: [...playerIds, id], revision: 3 });
  const run = (await sessionRunView(context, sessionId))!;
  expect(run.players.map(({ name }) => name)).toEqual(['Ada', 'Bo', 'Cy']);
  expect(run.blocks[0]!.players.map((one) => one.playerId)).toEqual([...playerIds, id]);
  expect((await attendanceOf(context.db, [sessionId])).find((one) => one.playerId === id)).toMatchObject({
    attendance: 'here',
  });
  expect((await whoElse(context, sessionId)).others).toEqual([]);
});

test('joining twice is joining once', async () => {
  const { context } = box;
  const { sessionId, playerIds } = await oneBlockSession(context);
  const { id } = value(await savePlayer(context, { ...ada, name: 'Cy', sure: true }));
  value(await joinSession(context, sessionId, { playerId: id }));
  value(await joinSession(context, sessionId, { playerId: id }));
  expect(value(await loadPlan(context, sessionId)).playerIds).toEqual([...playerIds, id]);
});

test('a guest is on the squad first', async () => {
  const { context } = box;
  const { sessionId } = await oneBlockSession(context);
  const guest = { name: 'Guest', birthYear: '2015', sport: 'tennis' };
  const { playerId } = value(await joinSession(context, sessionId, { guest }));
  expect(await getPlayer(context.db, playerId)).toMatchObject({
    name: 'Guest',
    birthYear: 2015,
    removedAtMs: null,
  });
  expect(value(await loadPlan(context, sessionId)).playerIds).toContain(playerId);
});

test.each([
  [{}, /Nobody was chosen/],
  [{ guest: { name: '', birthYear: 2015, sport: 'tennis' } }, /^guest.name: Name is empty/],
  [{ guest: { name: 'G', birthYear: 2090, sport: 'tennis' } }, /Birth year 2090 lies in the future/],
  [{ playerId: 'nobody' }, /^playerId: This player is not on record/],
])('%j is refused, and nobody is put anywhere', async (input, message) => {
  const { sessionId, playerIds } = await oneBlockSession(box.context);
  expect(problem(await joinSession(box.context, sessionId, input))).toMatch(message);
  expect(value(await loadPlan(box.context, sessionId)).playerIds).toEqual(playerIds);
});
