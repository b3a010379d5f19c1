import { holds, overlap } from './pack';
import { packEqual } from './pack-equal';

/** The most there are, by trying every place on a grid of whole metres: what lies lowest is filled first, or left empty. */
function mostByTrying(width: number, height: number, a: number, b: number): number {
  const taken = new Uint8Array(width * height);
  const each = a * b;
  let best = 0;
  const fill = (from: number, n: number, left: number): void => {
    let at = from;
    while (at < taken.length && taken[at]) at++;
    best = Math.max(best, n);
    if (at === taken.length || n + Math.floor(left / each) <= best) return;
    const [x, y] = [at % width, Math.floor(at / width)];
    for (const [w, h] of [
      [a, b],
      [b, a],
    ] as const) {
      if (x + w > width || y + h > height) continue;
      const cells = Array.from({ length: w * h }, (_, n) => (y + Math.floor(n / w)) * width + x + (n % w));
      if (cells.some((cell) => taken[cell])) continue;
      for (const cell of cells) taken[cell] = 1;
      fill(at + 1, n + 1, left - each);
      for (const cell of cells) taken[cell] = 0;
    }
    taken[at] = 1;
    fill(at + 1, n, left - 1);
    taken[at] = 0;
  };
  fill(0, 0, width * height);
  return best;
}

test('in small rooms there are as many as trying every place finds', () => {
  for (let width = 3; width <= 9; width++)
    for (let height = 3; height <= Math.min(width, 7); height++)
      for (const [a, b] of [
        [2, 3],
        [2, 5],
        [3, 4],
      ] as const)
        expect([width, height, a, packEqual({ width, height }, { width: a, height: b }).length]).toEqual([
          ...[width, height, a],
          mostByTrying(width, height, a, b),
        ]);
});

test('23 of 5 by 3 in 22 by 16, none over another: a known hard case (Morabito and Morales 1998, from memory)', () => {
  const room = { x: 0, y: 0, width: 22, height: 16 };
  const placed = packEqual(room, { width: 5, height: 3 });
  expect(placed).toHaveLength(23);
  for (const [n, one] of placed.entries()) {
    expect(holds(room, one)).toBe(true);
    for (const other of placed.slice(n + 1)) expect(overlap(one, other)).toBe(false);
  }
});

test('no more than are wanted, and none where none fits', () => {
  expect(packEqual({ width: 9, height: 9 }, { width: 1, height: 2 }, 5)).toHaveLength(5);
  expect(packEqual({ width: 1.9, height: 9 }, { width: 2, height: 2 })).toEqual([]);
});
