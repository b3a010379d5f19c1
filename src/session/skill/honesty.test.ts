import { plainBook } from '@/drills';
import type { Dose } from '@/core/dose/dose';
import { honestyOf, type ToldOfStep } from './honesty';
import { goalsOf } from '../base/goals';

const all = plainBook.drills.flatMap((drill) => drill.steps.map((step) => ({ drill, step })));
const withDose = (kind: Dose['kind'], measure: string) =>
  all.find(({ step }) => step.measure === measure && step.doses['7-9'].kind === kind)!;

/** Doubts about one child of eight that told these numbers of a step, by day. */
function doubts({ drill, step }: (typeof all)[number], results: readonly number[]) {
  const told = results.map((result, n): ToldOfStep => ({
    playerId: 'p',
    drillId: drill.id,
    stepId: step.id,
    result,
    dose: step.doses['7-9'],
    blockId: `block ${n}`,
    home: true,
    age: 8,
  }));
  return honestyOf(plainBook, [], told)
    .get('p')!
    .map(({ doubt, blockIds }) => ({ doubt, blockIds }));
}

test('a row that ends where it was asked to end is left out', () => {
  const row = withDose('row', 'row');
  const dose = row.step.doses['7-9'] as Extract<Dose, { kind: 'row' }>;
  expect(doubts(row, Array<number>(60).fill(dose.target))).toEqual([]);
});

test('against the clock more could be counted: always the aim is a word to the coach, with the days', () => {
  const timed = withDose('timed', 'count');
  const { aim, most } = goalsOf({ step: timed.step, dose: timed.step.doses['7-9'] }, 8);
  expect(aim).toBeLessThan(most);
  expect(doubts(timed, Array<number>(12).fill(aim))).toContainEqual({
    doubt: 'always the aim',
    blockIds: ['block 0', 'block 1', 'block 2'],
  });
  expect(doubts(timed, [aim, aim + 2, aim - 1, aim + 1, aim - 2, aim + 3, aim, aim + 1, aim - 3])).toEqual(
    [],
  );
});

test('laps are read off a watch, and whole seconds are no habit of the tongue', () => {
  expect(doubts(withDose('course', 'lap'), Array<number>(60).fill(10))).toEqual([]);
});
