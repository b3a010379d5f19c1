import { distance } from '@/core/geometry/points';
import { plainBook } from '@/drills';
import { blockOf } from '@/session/base/plan';
import { overruleFit } from '../players/sizes';
import { savePlace } from '../venues/venues';
import { sayAttendance } from '../plan/attendance';
import { createSession, loadPlan, savePlan } from '../plan/sessions';
import { savePlayer } from '../players/squad';
import { ada, booking, scratch, value } from '../testing/scratch';
import { sessionSetOutView } from './session-set-out';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

/** Two children and one block of a drill, in a hall or nowhere. */
async function session(drillId: string, hall: { name: string; lengthM: number; widthM: number } | null) {
  const { context } = box;
  const playerIds = [
    value(await savePlayer(context, { ...ada, sure: true })).id,
    value(await savePlayer(context, { ...ada, name: 'Bo', sure: true })).id,
  ];
  const placeId =
    hall && value(await savePlace(context, { ...hall, surface: 'wood', wallM: 0, tables: 0 })).id;
  const about = { ...booking, placeId, placeName: hall?.name ?? '', playerIds };
  const id = value(await createSession(context, about)).id;
  const step = plainBook.drill(drillId)!.steps[0]!;
  const block = blockOf({ id: context.newId(), drillId, stepId: step.id, dose: step.doses['10-12'] });
  value(await savePlan(context, id, { ...about, revision: 1, blocks: [block] }));
  return { id, playerIds };
}
const blockIn = async (id: string) =>
  (await sessionSetOutView(box.context, id))!.setOut!.slots[0]!.blocks[0]!;
const hall = { name: 'Hall', lengthM: 20, widthM: 10 };

test('without a place nothing can be set out, and an empty plan is told apart from it', async () => {
  const { id } = await session('marker-touches', null);
  expect(await sessionSetOutView(box.context, id)).toMatchObject({ setOut: null, empty: false });
  const { playerIds } = value(await loadPlan(box.context, id));
  const bare = value(await createSession(box.context, { ...booking, playerIds })).id;
  expect(await sessionSetOutView(box.context, bare)).toMatchObject({ setOut: null, empty: true });
});

test('a child’s own number moves their target, and nobody else’s', async () => {
  const { id, playerIds } = await session('flip-to-a-target', hall);
  const away = async () =>
    Object.fromEntries(
      (await blockIn(id)).lanes.map(({ who, layout }) => {
        const corners = layout.lines[0]!.points;
        const middle = { x: (corners[0]!.x + corners[2]!.x) / 2, y: (corners[0]!.y + corners[2]!.y) / 2 };
        return [who, Math.round(100 * distance(layout.marks[0]!.at, middle)) / 100];
      }),
    );
  const before = await away();
  expect(before.Ada).toBe(before.Bo);
  value(await overruleFit(box.context, playerIds[0]!, { key: 'targetM', value: before.Ada! + 0.5 }));
  expect(await away()).toEqual({ Ada: before.Ada! + 0.5, Bo: before.Bo });
});

test('who is absent has no lane', async () => {
  const { id, playerIds } = await session('marker-touches', hall);
  expect((await blockIn(id)).lanes.map(({ who }) => who)).toEqual(['Ada', 'Bo']);
  value(await sayAttendance(box.context, id, { playerIds: [playerIds[0]], attendance: 'absent' }));
  const after = await blockIn(id);
  expect(after.lanes.map(({ who }) => who)).toEqual(['Bo']);
  expect([after.comers, after.atOnce]).toEqual([1, 1]);
});

test('what does not fit here names the places on the list where it does', async () => {
  const { id } = await session('triangle-run', { name: 'Closet', lengthM: 3, widthM: 3 });
  expect((await blockIn(id)).fitsIn).toEqual([]);
  value(await savePlace(box.context, { ...hall, surface: 'wood', wallM: 0, tables: 0 }));
  value(
    await savePlace(box.context, {
      ...hall,
      name: 'Other closet',
      lengthM: 4,
      widthM: 4,
      surface: 'wood',
      wallM: 0,
      tables: 0,
    }),
  );
  const block = await blockIn(id);
  expect(block.problem).toMatch(/5 x 5 m/);
  expect(block.fitsIn).toEqual(['Hall']);
});
