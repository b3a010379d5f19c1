import { distance, isInside } from '@/core/geometry/points';
import { lapOf } from '@/core/movement/course';
import { pointsOf, tapedOf } from '@/core/movement/layout';
import { plainBook } from '../book';
import type { Drill, Step } from '../base/types';
import { layoutChild, layoutOf, layouts, type LayoutChild } from '.';

const childOf = (age: number): LayoutChild =>
  layoutChild({ age, sport: 'tennis', heightCm: null, racketIn: null });
const all = plainBook.drills.flatMap((drill) => drill.steps.map((step) => [drill, step] as const));
const layout = (drill: Drill, step: Step, age = 10) => layoutOf(drill, step, childOf(age));
const known = (id: string, stepId: string, age = 10) => {
  const drill = plainBook.drill(id)!;
  return layout(
    drill,
    drill.steps.find((step) => step.id === stepId)!,
    age,
  )!;
};

/** Kit that lies at a place of its own on the floor; what is held, worn or rolls about does not. */
const onTheFloor: ReadonlySet<string> = new Set([
  'marker',
  'raised marker',
  'ladder',
  'chalk',
  'tape',
  'hoop on a stand',
  'folding table',
]);

test('every drill with kit on the floor, a wall or a table has a layout, and none is kept for a drill that is gone', () => {
  const missing = plainBook.drills.filter(
    (drill) =>
      (drill.kit.some(({ item }) => onTheFloor.has(item)) ||
        drill.space.needs.some((need) => need === 'wall' || need === 'table')) &&
      !layouts[drill.id],
  );
  expect(missing.map(({ id }) => id)).toEqual([]);
  expect(Object.keys(layouts).filter((id) => !plainBook.drill(id))).toEqual([]);
});

test('what lies on the floor lies inside the clear room of its drill, for every step and age', () => {
  const out: string[] = [];
  for (const [drill, step] of all)
    for (const age of [4, 6, 8, 10, 13, 16]) {
      if (age < drill.ages.from || age > drill.ages.to) continue;
      const laid = layout(drill, step, age);
      if (!laid) continue;
      const { widthM, lengthM } = drill.space;
      const asOften = [widthM, lengthM].sort().join(' x ');
      if ([laid.widthM, laid.depthM].sort().join(' x ') !== asOften) out.push(`${drill.id}: room`);
      const room = { x: -laid.widthM / 2, y: 0, width: laid.widthM, height: laid.depthM };
      for (const point of pointsOf(laid))
        if (!isInside(point, room))
          out.push(`${drill.id} ${step.id} at ${age}: ${point.x.toFixed(2)}, ${point.y.toFixed(2)}`);
    }
  expect(out).toEqual([]);
});

test('names of what is taped are told apart', () => {
  for (const [drill, step] of all) {
    const labels = tapedOf(layout(drill, step) ?? ({ marks: [], lines: [], rings: [] } as never)).map(
      ({ label }) => label,
    );
    expect([drill.id, new Set(labels).size]).toEqual([drill.id, labels.length]);
  }
});

describe('the measures that the drills say in words', () => {
  const apart = (id: string, step: string, one: string, other: string, age = 10) => {
    const points = tapedOf(known(id, step, age));
    const at = (label: string) => points.find((point) => point.label === label)!.at;
    return distance(at(one), at(other));
  };
  test.each([
    ['marker-touches', 'narrow', 'Left', 'Right', 2],
    ['marker-touches', 'wide', 'Left', 'Right', 3.5],
    ['star-of-four', 'out-and-back', 'Home', 'Behind', 2],
    ['triangle-run', 'timed-lap', 'Start', 'Tip', 3],
    ['triangle-run', 'timed-lap', 'Left', 'Tip', 3],
    ['figure-of-eight', 'slow-eight', 'Left', 'Right', 0.5],
    ['bounce-pass-catch', 'two-balls', 'First player', 'Second player', 3],
    ['gate-roll', 'hand-roll', 'Gate, left', 'Gate, right', 1],
    ['gate-roll', 'hand-roll', 'First player', 'Second player', 4],
    ['ground-steer', 'slow', 'Marker 1', 'Marker 2', 1],
    ['carry', 'walk', 'Start', 'Turn', 6],
    ['growing-hops', 'two-lines', 'Line 1, 1', 'Line 2, 1', 1],
  ])('%s, %s: %s to %s', (id, step, one, other, metres) => {
    const drill = plainBook.drill(id)!;
    const there = drill.steps.some((known) => known.id === step) ? step : drill.steps[0]!.id;
    expect(apart(id, there, one, other)).toBeCloseTo(metres, 6);
  });
  test('a wall lane stands as far off as its rally is worked out for', () => {
    for (const [drill, step] of all.filter(([one]) => one.space.needs.includes('wall'))) {
      const laid = layout(drill, step)!;
      if (!step.rally || drill.id === 'table-and-wall') continue;
      expect([drill.id, step.id, laid.marks.find(({ kind }) => kind === 'player')!.at.y]).toEqual([
        drill.id,
        step.id,
        expect.closeTo(step.rally.distanceM, 6),
      ]);
    }
  });
  test('a target lies at the child’s own distance: two metres at five, three at thirteen', () => {
    for (const [age, metres] of [
      [5, 2],
      [13, 3],
    ] as const) {
      const { marks, rings } = known('ring-target', 'underarm-throw', age);
      expect(distance(marks[0]!.at, rings[0]!.at)).toBeCloseTo(metres, 6);
      expect(rings.map(({ radiusM }) => radiusM)).toEqual([0.4, 0.8, 1.2]);
    }
  });
});

describe('what a lap takes', () => {
  test('a lap takes less with age', () => {
    for (const [drill, step] of all) {
      const laps = [6, 8, 10, 13, 16].map((age) => {
        // The same course for all of them: only who runs it changes.
        const { course } = layout(drill, step, 10) ?? { course: null };
        return course ? lapOf(course, age, childOf(10)).seconds : 0;
      });
      expect(laps).toEqual([...laps].sort((a, b) => b - a));
    }
  });
  test('every course comes home', () => {
    for (const [drill, step] of all) {
      const course = layout(drill, step)?.course;
      if (!course) continue;
      expect([drill.id, distance(course.from, course.legs.at(-1)!.to)]).toEqual([
        drill.id,
        expect.closeTo(0, 9),
      ]);
    }
  });
});
