import { lapOf } from '@/core/movement/course';
import { leastShareOfMark } from '@/core/counting/doubtful';
import { ageOfBand } from '@/drills/base/age-band';
import { plainBook } from '@/drills';
import { layoutChild, layoutOf } from '@/drills/layouts';
import { ageBands } from '@/drills/base/types';
import { leastLapOf, markFor } from '../base/goals';

const laps = plainBook.drills.flatMap((drill) =>
  drill.steps.filter(({ measure }) => measure === 'lap').map((step) => ({ drill, step })),
);

test('no lap that can be run is doubted: at full effort every way takes longer than that, at every age', () => {
  const looked = laps.flatMap(({ drill, step }) =>
    ageBands.flatMap((band) => {
      const age = ageOfBand[band];
      const child = layoutChild({ age, sport: drill.sports[0]!, heightCm: null, racketIn: null });
      const course = layoutOf(drill, step, child)?.course;
      if (!course) return [];
      const { seconds } = lapOf(course, age, child);
      expect([drill.id, step.id, band, seconds > leastLapOf(drill.steps, age)]).toEqual([
        drill.id,
        step.id,
        band,
        true,
      ]);
      return [step.id];
    }),
  );
  expect(looked.length).toBeGreaterThan(0);
});

test('every ladder with laps has a least one, under all its marks', () => {
  for (const { drill, step } of laps)
    for (const band of ageBands) {
      const least = leastLapOf(drill.steps, ageOfBand[band]);
      expect(least).toBeGreaterThan(1);
      expect(least).toBeLessThanOrEqual(leastShareOfMark * markFor(step, band).result);
    }
});
