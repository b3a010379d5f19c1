import fc from 'fast-check';
import type { EventKind, TouchEvent } from './event';
import { doneInWords, limitsOfDose, noLimits, refusalOf, tooHigh, triesInAll } from './limits';
import { tally } from './tally';

const mark = (n: number, kind: EventKind, attempt = 1, value: number | null = null): TouchEvent => ({
  id: String(n).padStart(6, '0'),
  blockId: 'b',
  playerId: 'p',
  kind,
  attempt,
  value,
  ref: null,
  atMs: 1000 * n,
  monoMs: 0,
  device: 'd',
});
const ring = { kind: 'shots', shots: 10, ballsAtHand: 10, collectS: 20 } as const;
const reps = { kind: 'reps', sets: 2, reps: 10, sides: 1, restS: 20 } as const;

test('eleven shots on a ten-shot ring are ten, and a zone that no ring has counts nothing', () => {
  const limits = limitsOfDose(ring, 'points', [5, 3, 1]);
  const shots = Array.from({ length: 11 }, (_, n) => mark(n, 'zone', 1, 5));
  expect(tally(shots, 'points')).toMatchObject({ score: 55, shots: 11 });
  expect(tally(shots, 'points', () => limits)).toMatchObject({
    score: 50,
    shots: 10,
    best: 50,
    surplus: ['000010'],
  });
  const strange = [mark(0, 'zone', 1, 7), mark(1, 'zone', 1, 3), mark(2, 'zone', 1, 0)];
  expect(tally(strange, 'points', () => limits)).toMatchObject({ score: 3, shots: 2, surplus: ['000000'] });
});

test('twenty-four presses on two sets of ten are ten and ten', () => {
  const limits = limitsOfDose(reps, 'reps', null);
  const presses = Array.from({ length: 24 }, (_, n) => mark(n, 'touch', n < 10 ? 1 : 2));
  const { attempts, surplus } = tally(presses, 'reps', () => limits);
  expect(attempts.map(({ result }) => result)).toEqual([10, 10]);
  expect(surplus).toHaveLength(4);
  // One that is taken back makes room for the next.
  const undone: TouchEvent = { ...mark(99, 'undo', 2), ref: '000015' };
  expect(tally([...presses, undone], 'reps', () => limits).surplus).toHaveLength(3);
});

test('a typed thousand points stands for nothing until it is put right', () => {
  const limits = limitsOfDose(ring, 'points', [5, 3, 1]);
  const typed = mark(0, 'result', 1, 1000);
  expect(tally([typed], 'points', () => limits)).toMatchObject({
    best: null,
    attempts: [{ doubtful: true }],
  });
  const right: TouchEvent = { ...mark(1, 'fix', 1, 31), ref: '000000' };
  expect(tally([typed, right], 'points', () => limits)).toMatchObject({
    best: 31,
    attempts: [{ doubtful: false }],
  });
});

test.each([
  [ring, 10],
  [reps, 20],
  [{ kind: 'hold', holds: 3, holdS: 10, sides: 2, restS: 5 } as const, 6],
  [{ kind: 'course', rounds: 2, laps: 3, restS: 5 } as const, 6],
  [{ kind: 'growing', lines: 2, to: 3, restS: 5 } as const, 12],
  [{ kind: 'row', target: 5, capS: 60 } as const, Infinity],
  [{ kind: 'timed', rounds: 2, workS: 20, restS: 10 } as const, Infinity],
])('%j has room for %d marks', (dose, inAll) => {
  expect(triesInAll(dose)).toBe(inAll);
});

test('what is not taken says why', () => {
  const limits = limitsOfDose(ring, 'points', [5, 3, 1]);
  expect(refusalOf(limits, { tries: 10, inAll: 10 }, { kind: 'zone', value: 5 })).toBe(
    '10 of 10: done. Undo takes the last one back.',
  );
  expect(refusalOf(limits, { tries: 1, inAll: 10 }, { kind: 'zone', value: 7 })).toMatch(
    /nothing here is worth 7/,
  );
  expect(refusalOf(limits, { tries: 9, inAll: 10 }, { kind: 'zone', value: 0 })).toBeNull();
  expect(tooHigh('points', limits.most, 51)).toBe('At most 50 points can be reached in one attempt.');
  expect(tooHigh('points', limits.most, 50)).toBeNull();
  expect(doneInWords({ tries: 9, inAll: 10 })).toBeNull();
});

test('no order of presses, misses and undos makes an attempt larger than its dose', () => {
  const kinds = fc.array(fc.constantFrom<EventKind>('touch', 'drop', 'touch', 'undo'), { maxLength: 80 });
  const limits = limitsOfDose(reps, 'reps', null);
  fc.assert(
    fc.property(
      kinds,
      fc.array(fc.integer({ min: 1, max: 2 }), { minLength: 80, maxLength: 80 }),
      (made, rounds) => {
        const events = made.map((kind, n): TouchEvent => ({
          ...mark(n, kind, rounds[n]),
          ref: kind === 'undo' ? String(Math.floor(n / 2)).padStart(6, '0') : null,
        }));
        for (const { touches, drops } of tally(events, 'reps', () => limits).attempts)
          expect(touches + drops).toBeLessThanOrEqual(10);
        const free = tally(events, 'reps', () => noLimits);
        expect(free.surplus).toEqual([]);
      },
    ),
  );
});
