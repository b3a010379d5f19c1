import { plainBook } from '@/drills';
import { doneTogether, triesOf } from './together';

const [series, hops] = [plainBook.drill('shoulder-and-side')!, plainBook.drill('line-hops')!];

test('stretches, routines and the warming up are done together; what is timed or counted in a row is not', () => {
  expect(series.steps.every((step) => doneTogether(series, step))).toBe(true);
  expect(hops.steps.map((step) => doneTogether(hops, step))).toEqual(
    hops.steps.map((step) => step.measure !== 'count'),
  );
  for (const drill of plainBook.drills.filter(({ family }) => family !== 'loosen'))
    for (const step of drill.steps)
      if (!step.stretch && step.doses['13-16'].kind !== 'routine')
        expect([drill.id, step.id, doneTogether(drill, step)]).toEqual([drill.id, step.id, false]);
});

test.each([
  // By hand: 2 sets of 10 on each of 2 sides; 3 holds a side.
  [{ kind: 'reps', sets: 2, reps: 10, sides: 2, restS: 30 } as const, 40],
  [{ kind: 'hold', holds: 3, holdS: 10, sides: 2, restS: 5 } as const, 6],
  [
    {
      kind: 'routine',
      rounds: 2,
      changeS: 3,
      parts: [
        { name: 'reach', partS: 10, sides: 1 },
        { name: 'arm across', partS: 10, sides: 2 },
      ],
    } as const,
    6,
  ],
])('%j asks for %i tries', (dose, tries) => expect(triesOf(series.steps[0]!, dose)).toBe(tries));
