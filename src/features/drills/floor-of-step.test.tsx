import { renderToStaticMarkup } from 'react-dom/server';
import { plainBook } from '@/drills';
import { layoutChild } from '@/drills/layouts';
import { FloorOfStep } from './floor-of-step';

const child = (age: number, targetM?: number) =>
  layoutChild(
    { age, sport: 'tennis', heightCm: null, racketIn: null },
    targetM === undefined ? {} : { targetM },
  );
const shown = (drillId: string, stepId: string, one = child(10)) => {
  const drill = plainBook.drill(drillId)!;
  const step = drill.steps.find(({ id }) => id === stepId)!;
  const html = renderToStaticMarkup(<FloorOfStep drill={drill} step={step} child={one} />);
  const measures = Object.fromEntries(
    [...html.matchAll(/<dt>(.*?)<\/dt><dd[^>]*>(.*?)<\/dd>/g)].map(([, name, value]) => [
      name,
      value!.replace(/<[^>]+>/g, ''),
    ]),
  );
  return { html, measures };
};

test('a triangle: its sides, its way and how long a lap takes at that age', () => {
  const { measures, html } = shown('triangle-run', 'twenty-seconds');
  expect(measures).toMatchObject({
    'Clear room': '5 m × 5 m',
    'Start to Tip': '3 m',
    'Tip to Left': '3 m',
    'Way of a lap': '9 m, 18 steps',
    'Lap at full effort, usual at 10': '6.0 s',
    'Laps in 20 s like that': '3⅓',
  });
  expect(html).toContain('aria-label="Laps in twenty seconds from above, to scale');
});

test('older children run it faster, so more laps fit into the box', () => {
  const laps = [7, 10, 13, 16].map((age) => {
    const { measures } = shown('triangle-run', 'twenty-seconds', child(age));
    return [
      parseFloat(measures[`Lap at full effort, usual at ${age}`]!),
      measures['Laps in 20 s like that'],
    ] as const;
  });
  expect(laps.map(([seconds]) => seconds)).toEqual(
    [...laps.map(([seconds]) => seconds)].sort((a, b) => b - a),
  );
  expect(laps.at(-1)![1]).toBe('3⅔');
});

test('a target lies at the child’s own distance, the coach’s number before the suggestion', () => {
  const away = (one: ReturnType<typeof child>) =>
    shown('ring-target', 'underarm-throw', one).measures['Throw from to Inner ring, middle'];
  expect(away(child(5))).toBe('2 m');
  expect(away(child(13))).toBe('3 m');
  expect(away(child(13, 4.2))).toBe('4.2 m');
});

test('at the wall: where to stand, and how high the mark is', () => {
  const step = plainBook.step('racket-wall-rally', 'one-and-trap')!;
  const { measures, html } = shown('racket-wall-rally', 'one-and-trap');
  expect(measures['Mark on the wall']).toBe(`${step.rally!.markM} m`);
  expect(html).toContain('<svg');
});

test('laps are promised only where laps are counted, and nothing is drawn where nothing lies', () => {
  expect(shown('triangle-run', 'timed-lap').measures['Laps in 20 s like that']).toBeUndefined();
  expect(shown('marker-touches', 'wide').measures['Lap at full effort, usual at 10']).toMatch(/^\d\.\d s$/);
  expect(shown('palm-up-bounce', 'row-20').html).toBe('');
});
