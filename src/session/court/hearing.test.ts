import { catalogue } from '@/drills/catalogue';
import { hearingOf } from './hearing';

const step = (drillId: string, stepId: string) => {
  const drill = catalogue.find(({ id }) => id === drillId)!;
  return hearingOf(
    drill,
    drill.steps.find(({ id }) => id === stepId)!,
  );
};

describe('what can be heard of a step', () => {
  test('bounces on the strings, ended by the floor, no sooner and no later than the ball allows', () => {
    const hearing = step('palm-up-bounce', 'row-20');
    expect(hearing).toMatchObject({ by: 'rows', counts: 'strings', ends: 'floor' });
    if (hearing?.by !== 'rows') throw new Error('It is counted in rows.');
    // Five centimetres: 2 √(2h/g) = 0.20 s without drag; two metres: 1.28 s, and drag makes it a little longer or shorter.
    expect(hearing.periodS.least).toBeCloseTo(0.2, 1);
    expect(hearing.periodS.most).toBeCloseTo(1.28, 1);
  });

  test('claps, graded catches, dribbles, and rallies by what hits the wall', () => {
    expect(step('clap-and-catch', 'three-claps')).toEqual({ by: 'claps' });
    expect(step('quietest-ten', 'head-high')).toEqual({ by: 'catches' });
    expect(
      step('ground-dribble', catalogue.find(({ id }) => id === 'ground-dribble')!.steps[0]!.id),
    ).toMatchObject({ counts: 'floor', ends: null });
    expect(step('racket-wall-rally', 'count-25-s')).toMatchObject({ by: 'rows', counts: 'wall', ends: null });
  });

  test('nothing where a touch makes no sound of its own', () => {
    for (const [drill, id] of [
      ['rim-roll', 'one-way-round'],
      ['balloon-keep-up', 'palm-up'],
      ['line-hops', 'against-the-clock'],
      ['when-to-move-in', 'told'],
    ] as const)
      expect(step(drill, id)).toBeNull();
  });

  test('whatever is offered is measured so that it can be kept', () => {
    const offered = catalogue.flatMap((drill) =>
      drill.steps.filter((one) => hearingOf(drill, one) !== null).map((one) => one.measure),
    );
    expect(offered.length).toBeGreaterThan(40);
    expect([...new Set(offered)].sort()).toEqual(['count', 'grade', 'row', 'steadiness']);
  });
});
