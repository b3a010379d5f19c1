import { bare, lineAcross, marker, pair, ring, square } from './shapes';
import { handM, toleranceOf } from './tolerance';

const room = { widthM: 8, depthM: 8 };

test('by hand: a lap of seven metres may be a twentieth longer, which two legs share', () => {
  expect(toleranceOf(pair(room, 3.5, 'side step'))).toBeCloseTo(0.175, 9);
  // A short way would ask for more than anybody tapes: a hand is always given.
  expect(toleranceOf(pair(room, 1, 'side step'))).toBe(handM);
});

test('a target may lie off by a fifth of its smaller size', () => {
  expect(toleranceOf(bare(room, { rings: [ring(0, 4, 0.5, 'Ring'), ring(0, 4, 1, 'Outer')] }))).toBeCloseTo(
    0.2,
    9,
  );
  expect(toleranceOf(bare(room, { lines: [square(0, 4, 3, 'Square')] }))).toBeCloseTo(0.6, 9);
});

test('marks and chalk lines that are run past or stood at may lie off by a hand; where nothing is taped there is nothing to say', () => {
  expect(toleranceOf(bare(room, { marks: [marker(0, 1)] }))).toBe(handM);
  expect(toleranceOf(bare(room, { lines: [lineAcross(2, 1, 'Line')] }))).toBe(handM);
  expect(toleranceOf(bare(room))).toBeNull();
});
