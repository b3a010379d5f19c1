import { phasesOf, positionAt } from './phases';
import { isBetweenLaps, roundNow } from './round';

test('a timed count: by the clock, with a moment’s grace, and nothing outside its boxes', () => {
  const dose = { kind: 'timed', rounds: 2, workS: 20, restS: 10 } as const;
  const phases = phasesOf(dose, 40);
  const at = (passedS: number) => roundNow(dose, phases, passedS, 0);
  expect([1, 3, 22.9, 23.5, 24, 32, 33, 52.9, 53.5, 54].map(at)).toEqual([
    null,
    1,
    1,
    1,
    null,
    null,
    2,
    2,
    2,
    null,
  ]);
});

test('repetitions: by how many are done, never past the last set', () => {
  const dose = { kind: 'reps', sets: 2, reps: 10, sides: 1, restS: 0 } as const;
  expect([0, 9, 10, 19, 20, 99].map((tries) => roundNow(dose, phasesOf(dose, 40), 0, tries))).toEqual([
    1, 1, 2, 2, 2, 2,
  ]);
});

test('rows and shots are one round; holds go by the clock', () => {
  const row = { kind: 'row', target: 5, capS: 60 } as const;
  expect(roundNow(row, phasesOf(row, 60), 999, 50)).toBe(1);
  const hold = { kind: 'hold', holds: 2, holdS: 10, sides: 1, restS: 5 } as const;
  expect(roundNow(hold, phasesOf(hold, 20), 20, 0)).toBe(2);
  // Counted in until 3 s: nothing is held before that.
  expect(roundNow(hold, phasesOf(hold, 20), 0, 0)).toBeNull();
  expect(roundNow(hold, phasesOf(hold, 20), 2.9, 0)).toBeNull();
  // Held to the end, and told in the rest.
  expect(roundNow(hold, phasesOf(hold, 20), 14, 0)).toBe(1);
});

test('a lap is pressed between laps only when those of its round are done', () => {
  const dose = { kind: 'course', rounds: 2, laps: 1, restS: 20 } as const;
  const phases = phasesOf(dose, 20);
  // Counted in to 3 s, work to 13 s, rest to 33 s.
  expect(isBetweenLaps(positionAt(phases, 15), 1, 2)).toBe(false);
  expect(isBetweenLaps(positionAt(phases, 15), 2, 2)).toBe(true);
  expect(isBetweenLaps(positionAt(phases, 35), 2, 2)).toBe(false);
  expect(isBetweenLaps(positionAt(phases, 99), 2, 2)).toBe(false);
});
