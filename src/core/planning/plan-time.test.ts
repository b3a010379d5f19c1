import { planTime, type PlannedBlock } from './plan-time';

const pace = (successRate: number) => ({
  perTouchS: 2,
  dropCostS: 4,
  successRate,
  setUpS: 30,
  changeoverS: 15,
});
const players = [
  { playerId: 'sure', pace: pace(1) },
  { playerId: 'new', pace: pace(0.8) },
];

test('a row lasts as long as its slowest player; the quicker one goes on touching', () => {
  const block: PlannedBlock = { id: 'a', dose: { kind: 'row', target: 10, capS: 600 }, players };
  const plan = planTime([block, { ...block, id: 'b' }], 600);
  const [first, second] = plan.blocks;
  expect(first).toMatchObject({ slowestId: 'new', startS: 0, changeoverS: 15 });
  // The last block has no changeover.
  expect(second).toMatchObject({ startS: first!.totalS, changeoverS: 0 });
  expect(first!.touchesOf['sure']).toBeCloseTo(first!.workS / 2, 9);
  expect(plan.totalS).toBeCloseTo(first!.totalS * 2 - 15, 9);
  expect(plan.overrunS).toBeCloseTo(plan.totalS - 600, 9);
  expect(plan.touchesOf['new']).toBeCloseTo(first!.touchesOf['new']! * 2, 9);
});

test('an empty plan fits; a block for nobody is refused', () => {
  expect(planTime([], 600)).toMatchObject({ totalS: 0, overrunS: -600 });
  expect(() => planTime([{ id: 'a', dose: { kind: 'row', target: 1, capS: 60 }, players: [] }], 60)).toThrow(
    'player',
  );
});
