import fc from 'fast-check';
import type { FloorThing } from './place';
import { movedThing, thingProblem } from './things';

const hall = { lengthM: 7, widthM: 24, wallSide: null };
const pillar: FloorThing = { kind: 'pillar', xM: 3, yM: 2, widthM: 0.5, depthM: 0.5 };

test('inside it is right; past the long side or the short one it is told which, and by how much', () => {
  expect(thingProblem(pillar, hall)).toBeNull();
  expect(thingProblem({ ...pillar, xM: 23.5 }, hall)).toBeNull();
  expect(thingProblem({ ...pillar, xM: 23.6 }, hall)).toBe(
    'The pillar ends 24.1 m along, and the place is 24 m there: move it, or make it smaller.',
  );
  expect(thingProblem({ ...pillar, yM: 7 }, hall)).toMatch(/^The pillar ends 7.5 m out from the wall/);
  // Along the short side the wall's side is the short one.
  expect(thingProblem({ ...pillar, xM: 8 }, { ...hall, wallSide: 'short' })).toMatch(/ends 8.5 m along/);
});

test('moved, it stays inside and keeps its size', () => {
  expect(movedThing(pillar, 0.1, -0.1, hall)).toEqual({ ...pillar, xM: 3.1, yM: 1.9 });
  expect(movedThing(pillar, -9, 99, hall)).toEqual({ ...pillar, xM: 0, yM: 6.5 });
  fc.assert(
    fc.property(
      fc.double({ min: -50, max: 50, noNaN: true }),
      fc.double({ min: -50, max: 50, noNaN: true }),
      (byX, byY) => expect(thingProblem(movedThing(pillar, byX, byY, hall), hall)).toBeNull(),
    ),
  );
});
