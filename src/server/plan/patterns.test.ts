import { patternsView } from '../readers/patterns';
import { placePlayer } from '../players/standing';
import { booking, oneBlockSession, problem, scratch, value } from '../testing/scratch';
import { keepPattern, removePattern } from './patterns';
import { createSession, loadPlan, savePlan } from './sessions';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

test('a plan is kept by a name, and a session starts from it, everybody on their own step', async () => {
  const { context } = box;
  const { sessionId, playerIds, block, plan } = await oneBlockSession(context);
  const changed = { ...block, breakS: 60, changes: ['other hand'] };
  value(await savePlan(context, sessionId, { ...plan, blocks: [changed] }));
  const { id } = value(await keepPattern(context, sessionId, { title: ' Rainy day ' }));
  expect(await patternsView(context)).toEqual([
    { id, title: 'Rainy day', bookedMin: 30, drills: ['Palm-up bounce'] },
  ]);
  value(await placePlayer(context, { playerId: playerIds[1]!, drillId: block.drillId, stepId: 'row-50' }));
  const made = value(await createSession(context, { ...booking, playerIds, patternId: id }));
  const { blocks } = value(await loadPlan(context, made.id));
  expect(blocks).toMatchObject([{ drillId: block.drillId, stepId: 'row-20', dose: block.dose, breakS: 60 }]);
  expect(blocks[0]!.changes).toEqual(['other hand']);
  expect(blocks[0]!.id).not.toBe(block.id);
  expect(blocks[0]!.own.map(({ playerId, stepId }) => [playerId, stepId])).toEqual([
    [playerIds[0], 'row-20'],
    [playerIds[1], 'row-50'],
  ]);
});

test('what was changed in the session since leaves the pattern alone', async () => {
  const { context } = box;
  const { sessionId, playerIds, plan } = await oneBlockSession(context);
  const { id } = value(await keepPattern(context, sessionId, { title: 'Rainy day' }));
  value(await savePlan(context, sessionId, { ...plan, blocks: [] }));
  const made = value(await createSession(context, { ...booking, playerIds, patternId: id }));
  expect(value(await loadPlan(context, made.id)).blocks).toHaveLength(1);
});

test('removed and brought back', async () => {
  const { context } = box;
  const { sessionId } = await oneBlockSession(context);
  const { id } = value(await keepPattern(context, sessionId, { title: 'Rainy day' }));
  value(await removePattern(context, id, true));
  expect(await patternsView(context)).toEqual([]);
  value(await removePattern(context, id, false));
  expect(await patternsView(context)).toHaveLength(1);
});

test('what cannot be kept or started from is refused, and says why', async () => {
  const { context } = box;
  const { sessionId, playerIds, plan } = await oneBlockSession(context);
  expect(problem(await keepPattern(context, sessionId, { title: ' ' }))).toMatch(/^title: Name is empty/);
  expect(problem(await keepPattern(context, 'nobody', { title: 'x' }))).toMatch(/^session: /);
  value(await keepPattern(context, sessionId, { title: 'Rainy day' }));
  expect(problem(await keepPattern(context, sessionId, { title: 'rainy DAY' }))).toMatch(
    /^title: There is a pattern called rainy DAY already/,
  );
  const unknown = { ...booking, playerIds, patternId: context.newId() };
  expect(problem(await createSession(context, unknown))).toMatch(/^patternId: This pattern is not on record/);
  expect(problem(await removePattern(context, 'nobody', true))).toMatch(/^patternId/);
  value(await savePlan(context, sessionId, { ...plan, blocks: [] }));
  expect(problem(await keepPattern(context, sessionId, { title: 'Empty' }))).toMatch(
    /^blocks: The plan is empty/,
  );
});
