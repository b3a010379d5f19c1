import { plainBook } from '@/drills';
import { ageBandOf } from '@/drills/base/age-band';
import { agedBlock } from './age-block';
import { goalsOf } from '../base/goals';
import { newBlock } from './place-block';
import { workOf } from '../base/plan';

const nowhere = () => undefined;

test('every step of every drill: planned for January, a child has the dose and the mark of the age they are then', () => {
  let moved = 0;
  for (const drill of plainBook.drills)
    for (const step of drill.steps)
      for (const age of [6, 9, 12]) {
        const then = [
          { id: 'a', age },
          { id: 'b', age: age + 3 },
        ];
        const now = then.map((one) => ({ ...one, age: one.age + 1 }));
        const made = newBlock(plainBook, drill.id, then, () => step.id, 'block', step.id);
        const fresh = newBlock(plainBook, drill.id, now, () => step.id, 'block', step.id);
        expect(agedBlock(plainBook, made, then, 1)).toEqual(fresh);
        if (JSON.stringify(made) !== JSON.stringify(fresh)) moved += 1;
        // And back again.
        expect(agedBlock(plainBook, fresh, now, -1)).toEqual(made);
      }
  expect(moved).toBeGreaterThan(100);
});

test('a dose the coach chose stays, for the block and for a child', () => {
  const then = [
    { id: 'a', age: 9 },
    { id: 'b', age: 9 },
  ];
  const made = newBlock(plainBook, 'palm-up-bounce', then, nowhere, 'block', 'row-20');
  expect(ageBandOf(10)).not.toBe(ageBandOf(9));
  const own = made.own.map((one, at) => (at === 0 ? { ...one, amount: 13 } : one));
  const dose = { ...made.dose, capS: 33 } as typeof made.dose;
  const after = agedBlock(plainBook, { ...made, own, dose }, then, 1);
  expect([after.dose, after.own[0]!.amount]).toEqual([dose, 13]);
  const work = workOf(plainBook, after, 'b')!;
  const usual = workOf(
    plainBook,
    newBlock(plainBook, 'palm-up-bounce', [{ id: 'b', age: 10 }], nowhere, 'x', 'row-20'),
    'b',
  )!;
  expect(goalsOf(work, 10).aim).toBe(goalsOf(usual, 10).aim);
});
