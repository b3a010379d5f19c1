import { plainBook } from '@/drills';
import { lapOf } from '@/core/movement/course';
import { markFor } from '@/session/base/goals';
import { ageOfBand } from '../base/age-band';
import { layoutChild, layoutOf } from '../layouts';
import { ageBands, type Drill, type Step } from '../base/types';

/** Seconds to one that is counted, as coaches reckon for ten to twelve years: common practice, no source. */
const practice = {
  'square-shuffle': { 'there-and-back': 7, 'two-in-one-out': 9, 'for-time': 3 },
  'ladder-with-a-swing': { 'walk-through': 8, 'at-speed': 4.6, 'longer-ladder': 5.6 },
  'triangle-run': { 'walk-the-triangle': 9, 'timed-lap': 7, 'twenty-seconds': 6.3 },
  'marker-touches': { narrow: 1.8, wide: 2.2 },
  'star-of-four': { 'out-and-back': 2.8, 'with-a-split-step': 3.1, 'with-a-swing': 4 },
  'figure-of-eight': { 'slow-eight': 4.5, 'quick-eight': 3.3, 'eight-and-swing': 4.8 },
  'three-side-steps': { 'pure-side': 2, 'diagonal-in': 2.4, 'diagonal-back': 2.6 },
  carry: { walk: 11, backwards: 13, weave: 13, jog: 8, 'rim-free': 12 },
  'ground-steer': { straight: 14, 'round-the-markers': 17, 'both-ways': 24, running: 18 },
  'most-laps': { 'free-hands': 7, 'with-a-carry': 9, bouncing: 12 },
} as const;

const paced = plainBook.drills.flatMap((drill) =>
  drill.steps.flatMap((step) => (step.paces ? [{ drill, step, paces: step.paces }] : [])),
);
const childOf = (age: number) => layoutChild({ age, sport: 'tennis', heightCm: null, racketIn: null });
const fullEffortS = (drill: Drill, step: Step, age: number): number =>
  lapOf(layoutOf(drill, step, childOf(age))!.course!, age, childOf(age)).seconds;

test('the steps on a way are those of the table, and come within a quarter of what coaches reckon', () => {
  const known = Object.fromEntries(Object.entries(practice)) as Record<string, Record<string, number>>;
  expect(paced.map(({ drill, step }) => `${drill.id} ${step.id}`).sort()).toEqual(
    Object.entries(known)
      .flatMap(([drill, steps]) => Object.keys(steps).map((step) => `${drill} ${step}`))
      .sort(),
  );
  const off = paced.flatMap(({ drill, step, paces }) => {
    const said = known[drill.id]![step.id]!;
    const ratio = paces['10-12'] / said;
    return ratio < 0.8 || ratio > 1.25 ? [`${drill.id} ${step.id}: ${paces['10-12']} s for ${said} s`] : [];
  });
  expect(off).toEqual([]);
});

test('the older are never slower, and somewhere faster', () => {
  for (const { drill, step, paces } of paced) {
    const seconds = ageBands.map((band) => paces[band]);
    expect([drill.id, step.id, seconds]).toEqual([drill.id, step.id, [...seconds].sort((a, b) => b - a)]);
    expect(seconds[0]!).toBeGreaterThan(1.1 * seconds[3]!);
    expect(step.perTouchS).toMatchObject({ value: paces['10-12'], origin: 'ours' });
    expect(step.perTouchS.note).toMatch(/^worked out for each age from a way of \d+\.\d m a lap/);
  }
});

test('by hand: a lap of the triangle at 1.15 times full effort, an eight with a swing of a second and a half', () => {
  const lap = plainBook.step('triangle-run', 'timed-lap')!;
  const eight = plainBook.step('figure-of-eight', 'eight-and-swing')!;
  const [triangle, eights] = ['triangle-run', 'figure-of-eight'].map((id) => plainBook.drill(id)!);
  for (const band of ageBands) {
    const age = ageOfBand[band];
    expect(Math.abs(lap.paces![band] - 1.15 * fullEffortS(triangle!, lap, age))).toBeLessThan(0.051);
    expect(Math.abs(eight.paces![band] - 1.25 * fullEffortS(eights!, eight, age) - 1.5)).toBeLessThan(0.051);
  }
});

test('a mark asks for the pace of its age, give or take: never for three quarters of the time, never for twice as much', () => {
  const wrong = paced.flatMap(({ drill, step, paces }) =>
    ageBands.flatMap((band) => {
      const { result } = markFor(step, band);
      const dose = step.doses[band];
      const eachS =
        step.measure === 'lap' ? result : dose.kind === 'timed' ? dose.workS / result : paces[band];
      const said = `${drill.id} ${step.id} ${band}: ${eachS.toFixed(1)} s to one for ${paces[band]}`;
      return eachS < 0.75 * paces[band] || eachS > 2 * paces[band] ? [said] : [];
    }),
  );
  expect(wrong).toEqual([]);
});
