import fc from 'fast-check';
import { lapOf } from '../movement/course';
import { at, star, triangle, way } from '../movement/shapes';
import { explainLap } from './lap';

const steps = { strideM: 0.58, sideStepM: 0.49 };
const secondsIn = (text: string) => Number(/^(-?[\d.]+) s$/.exec(text)![1]);

test('the legs of a lap add up to what is shown, for every age and size', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 4, max: 17 }),
      fc.double({ min: 0.5, max: 4, noNaN: true }),
      fc.boolean(),
      (age, size, isStar) => {
        const room = { widthM: 9, depthM: 9 };
        const course = (isStar ? star(room, size) : triangle(room, size)).course!;
        const { value, inputs } = explainLap(course, age, steps);
        const parts = inputs.filter(({ label }) => /^(Leg|Parts)/.test(label));
        expect(parts.length).toBeGreaterThanOrEqual(course.legs.length);
        const sum = parts.reduce((all, one) => all + secondsIn(one.value), 0);
        expect(sum).toBeCloseTo(secondsIn(value), 6);
        expect(secondsIn(value)).toBeCloseTo(lapOf(course, age, steps).seconds, 1);
      },
    ),
  );
});

test('each leg says how long it is, how it is moved and in how many steps', () => {
  const { inputs, source } = explainLap(way([at(0, 0), at(3, 0), at(0, 0)], ['run', 'backwards']), 10, steps);
  expect(inputs.slice(0, 2)).toEqual([
    { label: 'Leg 1, run', value: '1.8 s', from: '3.00 m, 4 steps' },
    { label: 'Leg 2, backwards', value: '2.1 s', from: '3.00 m, 7 steps' },
  ]);
  expect(source).toContain('Eurofit');
});
