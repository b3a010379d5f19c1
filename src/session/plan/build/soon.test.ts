import { buildCase } from '@/demo/build-cases';
import { soonBuilt } from './soon';

const { setting, facts, standsOn } = buildCase(4);
const drills = (must: readonly string[] = [], rested: readonly string[] = []) =>
  soonBuilt(setting, facts, standsOn, must, rested)!.blocks.map(({ drillId }) => drillId);

test('the same children get the same session, inside the booking', () => {
  const one = soonBuilt(setting, facts, standsOn, [], [])!;
  expect(drills()).toEqual(one.blocks.map(({ drillId }) => drillId));
  expect(one.evaluation.time.overrunS).toBeLessThanOrEqual(0);
  expect(one.blocks.length).toBeGreaterThan(3);
});

test('what was done the time before has a rest, what has to be in is in', () => {
  const before = drills();
  const after = drills([], before);
  expect(after.filter((id) => before.includes(id))).toEqual([]);
  expect(after.length).toBeGreaterThan(3);
  const must = before[0]!;
  expect(drills([must], before.slice(1))).toContain(must);
});

test('where too little is left without what was done before, it comes again', () => {
  const every = setting.book.drills.map(({ id }) => id);
  expect(drills([], every)).toEqual(drills());
  // One drill of all has no rest: by itself it is no session.
  expect(drills([], every.slice(1))).toEqual(drills());
});

test('nothing that fits is no session', () => {
  expect(soonBuilt({ ...setting, bookedMin: 1 }, facts, standsOn, ['triangle-run'], [])).toBeNull();
});
