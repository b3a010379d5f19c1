import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import {
  createSessionAction,
  decideAction,
  finishSessionAction,
  loadPlanAction,
  removePlayerAction,
  removeSessionAction,
  savePlanAction,
  savePlayerAction,
  startSessionAction,
} from './actions';
import { health } from './health';
import { ada, booking, problem, value } from './testing/scratch';

jest.mock('next/cache', () => ({ revalidatePath: jest.fn() }));

/* The doors as the browser finds them: on the application's own database, whatever is handed in. */
const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-actions-'));
beforeAll(() => (process.env.VOWSTEP_DATABASE_URL = `file:${folder}/app.db`));
afterAll(() => {
  delete process.env.VOWSTEP_DATABASE_URL;
  rmSync(folder, { recursive: true, force: true });
});

test('the whole way through the doors', async () => {
  const player = value(await savePlayerAction(ada)).id;
  const session = value(await createSessionAction({ ...booking, playerIds: [player] })).id;
  const plan = value(await loadPlanAction(session));
  expect(plan).toMatchObject({ revision: 1, playerIds: [player], blocks: [] });
  expect(value(await savePlanAction(session, { ...plan, bookedMin: 45 }))).toEqual({ revision: 2 });
  value(await startSessionAction(session));
  value(await finishSessionAction(session));
  value(await removeSessionAction(session, true));
  value(await removeSessionAction(session, false));
  value(await removePlayerAction(player, true));
  expect(value(await loadPlanAction(session)).bookedMin).toBe(45);
});

test.each<unknown>([null, undefined, 7, {}, [], { toString: 'x' }, "' or 1=1 --"])(
  'an id that is %j is taken as unknown, never as a fault',
  async (strange) => {
    const id = strange as string;
    for (const answer of [
      savePlayerAction(ada, id ?? ''),
      removePlayerAction(id, true),
      savePlanAction(id, { ...booking, revision: 1, blocks: [], playerIds: ['01ARZ3NDEKTSV4RRFFQ69G5FAV'] }),
      loadPlanAction(id),
      startSessionAction(id),
      finishSessionAction(id),
      removeSessionAction(id, true),
    ])
      expect(problem(await answer)).toContain('not on record');
  },
);

test.each<unknown>([null, undefined, 7, 'x', [], [null], [{}]])(
  'input that is %j is refused by name',
  async (strange) => {
    expect(problem(await savePlayerAction(strange))).toContain('Name is empty');
    expect(problem(await createSessionAction(strange))).toContain('Title is empty');
    expect(problem(await savePlanAction('x', strange))).toContain('Title is empty');
    expect(problem(await decideAction(strange))).toMatch(/Decisions is empty|is missing/);
  },
);

test('health reads the schema', async () => {
  expect(await health()).toMatchObject({ ok: true, schemaVersion: 2 });
});
