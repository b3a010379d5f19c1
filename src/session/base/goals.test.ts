import { ageBands } from '@/drills/base/types';
import { plainBook } from '@/drills';
import { changes } from '@/drills/base/changes';
import { scaled } from '@/core/dose/scale';
import { measures } from '@/core/counting/measure';
import type { Dose } from '@/core/dose/dose';
import { goalsOf, judgedOn, markFor, mostOf, needsInWords } from './goals';
import { blockOf, workOf } from './plan';

const step = (drill: string, id: string) => plainBook.step(drill, id)!;
const ageOf = { '4-6': 5, '7-9': 8, '10-12': 11, '13-16': 15 } as const;

describe('the mark', () => {
  test('is of the step and the age: a younger player’s in the proportion of their own dose', () => {
    // Common practice: nobody passes a mark that the dose of their age does not reach.
    expect(ageBands.map((band) => markFor(step('push-and-side-step', 'one-side-step'), band).result)).toEqual(
      [3, 5, 8, 10],
    );
    expect(ageBands.map((band) => markFor(step('ring-target', 'underarm-throw'), band).result)).toEqual(
      ageBands.map((band) => {
        const dose = step('ring-target', 'underarm-throw').doses[band];
        return dose.kind === 'shots' ? Math.round((40 * dose.shots) / 10) : NaN;
      }),
    );
    expect(markFor(step('line-hops', 'side-to-side'), '4-6').result).toBe(10);
    expect(markFor(step('wrist-and-forearm', 'band-outwards'), '4-6').result).toBe(5);
    expect(markFor(step('growing-hops', 'two-lines'), '4-6').result).toBe(12);
    expect(markFor(step('retreat-for-the-high-ball', 'hit-one-catch-one'), '4-6').result).toBe(6);
  });

  test('a spread stays as written', () => {
    const even = step('turn-over-bounce', 'same-height');
    for (const band of ageBands) expect(markFor(even, band)).toEqual(even.gate);
  });

  test('on a way on the floor an age is asked for what it can run there', () => {
    const lap = step('triangle-run', 'timed-lap');
    expect(markFor(lap, '13-16')).toEqual(lap.gate);
    const seconds = ageBands.map((band) => markFor(lap, band).result);
    // In the proportion of the seconds of a lap, to the tenth.
    expect(seconds).toEqual(
      ageBands.map((band) => Math.round((65 * lap.paces![band]) / lap.paces!['13-16']) / 10),
    );
    expect(seconds).toEqual([...new Set(seconds)].sort((a, b) => b - a));
    const eights = step('figure-of-eight', 'quick-eight');
    expect(ageBands.map((band) => markFor(eights, band).result)).toEqual(
      ageBands.map((band) => Math.round((9 * eights.paces!['13-16']) / eights.paces![band])),
    );
  });

  test('where no way says how fast an age is, a lap stays as written', () => {
    const { paces: _, ...lap } = step('triangle-run', 'timed-lap');
    for (const band of ageBands) expect(markFor(lap, band)).toEqual(lap.gate);
  });

  test('does not move with what is done today', () => {
    const row = step('palm-up-bounce', 'row-20');
    for (const target of [3, 10, 20, 40]) {
      const dose: Dose = { kind: 'row', target, capS: 60 };
      expect(goalsOf({ step: row, dose }, 15).mark).toEqual(markFor(row, '13-16'));
    }
  });
});

describe('the aim', () => {
  test('of a row is the row of the dose, whatever was decided', () => {
    const goals = goalsOf({ step: step('palm-up-bounce', 'row-20'), dose: row(10) }, 8, 30);
    expect(goals).toMatchObject({ aim: 10, aimFrom: 'dose', most: 10 });
  });

  test('of all else is what was decided, else the mark, and never more than the dose gives', () => {
    const throws = step('ring-target', 'underarm-throw');
    const five: Dose = { kind: 'shots', shots: 5, ballsAtHand: 5, collectS: 0 };
    // Common practice: five shots at rings of 10 are 50 at most.
    expect(goalsOf({ step: throws, dose: five }, 15, 45)).toMatchObject({
      aim: 45,
      aimFrom: 'decided',
      most: 50,
    });
    expect(goalsOf({ step: throws, dose: five }, 15, 60)).toMatchObject({ aim: 50, aimFrom: 'most' });
    expect(goalsOf({ step: throws, dose: five }, 15)).toMatchObject({
      aim: 40,
      aimFrom: 'mark',
      tooShort: false,
    });
  });

  test('a called box asks for no more than it calls', () => {
    const called = step('marker-touches', 'called');
    const box = called.doses['10-12'];
    if (box.kind !== 'timed') throw new Error(box.kind);
    // 25 s, a call every 2.8 s, the last one answered in 2.4 s: at 0, 2.8 … 22.4.
    expect(mostOf(called, box)).toBe(9);
    expect(goalsOf({ step: called, dose: box }, 11, 12).aim).toBe(9);
  });

  test('a lap is as fast as it is: no most', () => {
    const lap = step('triangle-run', 'timed-lap');
    const goals = goalsOf({ step: lap, dose: lap.doses['10-12'] }, 11, 5.9);
    expect(goals).toMatchObject({ aim: 5.9, most: Infinity, tooShort: false });
  });
});

describe('a dose too small to show the mark', () => {
  test('says so, and lowers nothing', () => {
    const goals = goalsOf({ step: step('palm-up-bounce', 'row-20'), dose: row(3) }, 15);
    expect(goals).toMatchObject({ aim: 3, most: 3, tooShort: true });
    expect(goals.mark.result).toBe(20);
  });

  test('shortened, eased or spiced: every step, band and change keeps its mark, and asks for what can be given', () => {
    let short = 0;
    for (const drill of plainBook.drills)
      for (const one of drill.steps)
        for (const band of ageBands) {
          const age = ageOf[band];
          const written = goalsOf({ step: one, dose: one.doses[band] }, age);
          // As it is written, every step can be passed by everybody.
          expect([drill.id, one.id, band, written.tooShort]).toEqual([drill.id, one.id, band, false]);
          const block = blockOf({ id: 'b', drillId: drill.id, stepId: one.id, dose: one.doses[band] });
          const doses = [
            scaled(one.doses[band], 0.6),
            ...changes.map(({ id }) => workOf(plainBook, { ...block, changes: [id] })!.dose),
          ];
          for (const dose of doses) {
            const goals = goalsOf({ step: one, dose }, age);
            expect(goals.mark).toEqual(written.mark);
            if (measures[one.measure].lowerIsBetter) continue;
            expect(goals.aim).toBeLessThanOrEqual(goals.most);
            if (goals.tooShort) short += 1;
          }
        }
    expect(short).toBeGreaterThan(0);
  });
});

test('the top of a ladder is known', () => {
  const drill = plainBook.drill('palm-up-bounce')!;
  const goals = { mark: { result: 5, days: 1 }, most: Infinity };
  expect(judgedOn(drill, drill.steps.at(-1)!, goals).top).toBe(true);
  expect(judgedOn(drill, drill.steps[0]!, goals).top).toBe(false);
});

function row(target: number): Dose {
  return { kind: 'row', target, capS: 60 };
}

test('marks follow age: never more than the dose of that age can show, never under what a row asks for', () => {
  // Ours: whoever has done what their age is given, on enough days, has passed.
  const rowFactor = 1;
  const wrong = plainBook.drills.flatMap((drill) =>
    drill.steps.flatMap((step) =>
      ageBands.flatMap((band) => {
        const dose = step.doses[band];
        const { result } = markFor(step, band);
        const at = (said: string) => [`${drill.id} ${step.id} ${band}: mark ${result}, ${said}`];
        if (dose.kind === 'row')
          return result >= dose.target && result <= rowFactor * dose.target
            ? []
            : at(`target ${dose.target}`);
        const most = mostOf(step, dose);
        return measures[step.measure].lowerIsBetter || result <= most ? [] : at(`at most ${most}`);
      }),
    ),
  );
  expect(wrong).toEqual([]);
  // A five-year-old and a fourteen-year-old on the same step each have their own.
  const step = plainBook.step('palm-up-bounce', 'row-100')!;
  expect(ageBands.map((band) => markFor(step, band).result)).toEqual([20, 40, 80, 100]);
});

test('what a step needs stands beside a best that may be more', () => {
  expect(needsInWords({ measure: 'row' }, { result: 5, days: 2 })).toBe('needs 5 on 2 days');
  expect(needsInWords({ measure: 'lap' }, { result: 9.5, days: 1 })).toBe('needs 9.5');
  const shadow = plainBook.drills.flatMap(({ steps }) => steps).find(({ habit }) => habit)!;
  expect(needsInWords(shadow, shadow.gate)).toBe(`of about ${shadow.habit!.reps}`);
});
