import { at, triangle, way } from './shapes';
import { blindEnds, clearBehindM } from './run-out';

const floor = { x: 0, y: 0, width: 10, height: 6 };

test('only what is gone backwards has an end nobody sees', () => {
  expect(blindEnds(way([at(1, 1), at(4, 1)], 'run'))).toEqual([]);
  expect(blindEnds(way([at(1, 1), at(4, 1)], 'backwards'))).toEqual([{ at: at(4, 1), on: at(1, 0) }]);
  expect(blindEnds(way([at(1, 1), at(1, 4)], 'walk', { blind: true }))).toEqual([
    { at: at(1, 4), on: at(0, 1) },
  ]);
  // The second side of the triangle, and nobody goes nowhere.
  expect(blindEnds(triangle({ widthM: 5, depthM: 5 }, 3).course!)).toHaveLength(1);
  expect(blindEnds(way([at(1, 1), at(1, 1)], 'backwards'))).toEqual([]);
});

describe('clear floor behind, by hand', () => {
  const behind = (
    x: number,
    y: number,
    on: { x: number; y: number },
    others = [{ x: 7, y: 2, width: 1, height: 2 }],
  ) => clearBehindM({ at: at(x, y), on }, floor, others);
  test('to the sides of the floor', () => {
    expect(behind(9, 1, at(1, 0))).toBeCloseTo(1, 9);
    expect(behind(9, 1, at(-1, 0))).toBeCloseTo(9, 9);
    expect(behind(2, 5.5, at(0, 1))).toBeCloseTo(0.5, 9);
    // Aslant, three metres along for four deep: the far side is 5 m off.
    expect(behind(0, 2, at(0.6, 0.8))).toBeCloseTo(5, 9);
  });
  test('to what lies on it, met in front, beside or behind', () => {
    expect(behind(4, 3, at(1, 0))).toBeCloseTo(3, 9);
    expect(behind(4, 3, at(-1, 0))).toBeCloseTo(4, 9);
    expect(behind(4, 1.9, at(1, 0))).toBeCloseTo(6, 9);
    expect(behind(4, 4, at(1, 0))).toBeCloseTo(6, 9);
    // Four metres on it is at 7, 3.2; a little to the left it only brushes the corner, and goes on to the far side.
    expect(behind(4.6, 0, at(0.6, 0.8))).toBeCloseTo(4, 9);
    expect(behind(4, 0, at(0.6, 0.8))).toBeCloseTo(7.5, 9);
  });
  test('from outside the floor nothing is clear', () => expect(behind(11, 3, at(1, 0))).toBe(0));
});
