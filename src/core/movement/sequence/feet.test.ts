import fc from 'fast-check';
import { distance } from '../../geometry/points';
import { demandsOf, type ShadowPlayer } from './feasible';
import { feetAt } from './feet';
import { readLine } from './line';
import { placeOf } from './shots';

const child: ShadowPlayer = { age: 10, sideStepM: 0.49, contactM: 0.56 };
const read = readLine('bh corner, fh pivot loop, fh wide home', 'table tennis');
const shots = read.ok ? read.value : [];
const demands = demandsOf(shots, 'table', child);
const everyS = 60 / demands.fastestPerMin;

test('at every contact the feet stand at their place', () => {
  for (const [n, shot] of shots.entries()) {
    const there = feetAt(demands.gaps, everyS, (n + 1) * everyS - 1e-6);
    expect(there).toMatchObject({ shot: n, doing: 'swings' });
    expect(distance(there.at, placeOf(shot, 'table', child.contactM).feet)).toBeLessThan(1e-9);
  }
});

test('the feet never jump, at a tempo that can be played', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 30, noNaN: true }),
      fc.double({ min: 1, max: 2, noNaN: true }),
      (nowS, slower) => {
        const stepS = 0.01;
        const [a, b] = [
          feetAt(demands.gaps, everyS * slower, nowS),
          feetAt(demands.gaps, everyS * slower, nowS + stepS),
        ];
        // Nobody of ten is faster than seven metres a second.
        expect(distance(a.at, b.at)).toBeLessThan(7 * stepS);
      },
    ),
  );
});

test('faster than can be played, the drawing still gets everywhere', () => {
  const fast = everyS / 3;
  for (const [n, shot] of shots.entries())
    expect(
      distance(
        feetAt(demands.gaps, fast, (n + 1) * fast - 1e-6).at,
        placeOf(shot, 'table', child.contactM).feet,
      ),
    ).toBeLessThan(1e-6);
});
