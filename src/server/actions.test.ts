import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { catalogue } from '@/drills';
import journal from '../../drizzle/meta/_journal.json';
import {
  addToSessionAction,
  chooseSchoolAction,
  correctBlockAction,
  correctDayAction,
  createSessionAction,
  decideAction,
  finishSessionAction,
  loadPlanAction,
  overruleFitAction,
  placePlayerAction,
  removeDrillAction,
  removePlaceAction,
  removePlayerAction,
  removeSessionAction,
  saveDrillAction,
  saveKitAction,
  savePlaceAction,
  savePlanAction,
  savePlayerAction,
  sayAttendanceAction,
  sayHeldAction,
  sayNotHeldAction,
  undoCorrectionAction,
} from './actions';
import { health } from './health';
import { ada, booking, problem, value } from './testing/scratch';

jest.mock('next/cache', () => ({ revalidatePath: jest.fn() }));
jest.mock('next/headers', () => ({ cookies: () => Promise.resolve({ get: () => undefined }) }));

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
      finishSessionAction(id),
      removeSessionAction(id, true),
      sayAttendanceAction(id, { playerIds: ['x'], attendance: 'late' }),
      sayNotHeldAction(id, { why: 'rain' }),
      sayHeldAction(id, true),
      correctBlockAction(id, { blockId: 'x', changes: [] }),
      correctDayAction(id, { day: '2020-01-01' }),
      undoCorrectionAction(id, strange),
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

describe('the doors of the house', () => {
  const carry = catalogue.find((drill) => drill.id === 'carry')!;
  const yard = { name: 'Yard', lengthM: 12, widthM: 6, surface: 'court', wallM: 0, tables: 0 };

  test('a place, kit, a drill, a school, a fit and a standing go through', async () => {
    const player = value(await savePlayerAction(ada)).id;
    const place = value(await savePlaceAction(yard)).id;
    value(await savePlaceAction({ ...yard, ceilingM: 4 }, place));
    value(await saveKitAction({ ball: 12 }));
    const drill = value(await saveDrillAction(carry)).id;
    value(await saveDrillAction({ ...carry, title: 'Our carry' }, drill));
    value(
      await chooseSchoolAction({
        scope: 'drill',
        key: drill,
        question: 'dropRule',
        answer: 'back to the start',
      }),
    );
    value(await overruleFitAction(player, { key: 'hoopM', value: 2.2 }));
    value(await placePlayerAction({ playerId: player, drillId: drill, stepId: 'walk' }));
    const session = value(await createSessionAction({ ...booking, playerIds: [player], placeId: place })).id;
    value(await addToSessionAction(session, drill));
    expect(value(await loadPlanAction(session)).blocks).toMatchObject([
      { drillId: drill, own: [{ playerId: player, stepId: 'walk' }] },
    ]);
    value(await removeDrillAction(drill, true));
    value(await removePlaceAction(place, true));
    expect(value(await loadPlanAction(session)).blocks).toHaveLength(1);
  });

  test.each<unknown>([null, undefined, 7, {}, [], { toString: 'x' }, "' or 1=1 --"])(
    'an id that is %j is taken as unknown, never as a fault',
    async (strange) => {
      const id = strange as string;
      for (const answer of [
        savePlaceAction(yard, id ?? ''),
        removePlaceAction(id, true),
        saveDrillAction(carry, id ?? ''),
        removeDrillAction(id, true),
        overruleFitAction(id, { key: 'hoopM', value: 2 }),
        addToSessionAction(id, 'carry'),
      ])
        expect(problem(await answer)).toMatch(/not on (the list|record)|not one of your own|Drill id/);
    },
  );

  test.each<unknown>([null, undefined, 7, 'x', [], [null], [{}]])(
    'input that is %j is refused by name',
    async (strange) => {
      expect(problem(await savePlaceAction(strange))).toContain('Name is empty');
      expect(problem(await saveDrillAction(strange))).toContain('Title is empty');
      expect(problem(await chooseSchoolAction(strange))).toContain('Scope is missing');
      expect(problem(await placePlayerAction(strange))).toContain('Player is missing');
      expect(problem(await overruleFitAction('x', strange))).toContain('Which number is missing');
    },
  );
});

test('health reads the schema', async () => {
  expect(await health()).toMatchObject({ ok: true, schemaVersion: journal.entries.length, trouble: null });
});
