import { renderToStaticMarkup } from 'react-dom/server';
import { plainBook } from '@/drills';
import type { ChartAttempt } from '@/server/views/player';
import { BestChart } from './best-chart';

const day = (n: number) => `2026-11-${String(n).padStart(2, '0')}`;
const attempt = (n: number, stepId: string, result: number): ChartAttempt => [
  day(n),
  n * 1000,
  stepId,
  result,
  0,
];
const draw = (attempts: ChartAttempt[]) =>
  renderToStaticMarkup(<BestChart age={11} drillId="palm-up-bounce" attempts={attempts} height={300} />);

/** Every dot of every band: x, y. */
const dots = (html: string) =>
  [...html.matchAll(/M([\d.]+) ([\d.]+)h0/g)].map(([, x, y]) => ({ x: Number(x), y: Number(y) }));

test('every attempt is a dot: none left out, higher results higher up, later ones further right', () => {
  const results = [3, 8, 5, 12, 9, 20];
  const shown = dots(draw(results.map((result, n) => attempt(n + 1, 'row-20', result))));
  expect(shown).toHaveLength(results.length);
  for (let i = 1; i < shown.length; i++) {
    expect(shown[i]!.x).toBeGreaterThan(shown[i - 1]!.x);
    expect(Math.sign(shown[i - 1]!.y - shown[i]!.y)).toBe(Math.sign(results[i]! - results[i - 1]!));
  }
});

test('attempts of one day stand side by side in the order done', () => {
  const shown = dots(
    draw([
      attempt(1, 'row-20', 1),
      attempt(2, 'row-20', 4),
      attempt(2, 'row-20', 4),
      attempt(2, 'row-20', 4),
      attempt(3, 'row-20', 2),
    ]),
  );
  const xs = shown.map(({ x }) => x);
  expect(xs).toEqual([...xs].sort((a, b) => a - b));
  expect(new Set(xs).size).toBe(5);
});

test('a band for each step practised, the highest on top, each with its mark and its best', () => {
  const html = draw([
    attempt(1, 'settle', 4),
    attempt(2, 'settle', 6),
    attempt(3, 'bounce-20-s', 22),
    attempt(4, 'row-20', 9),
  ]);
  const titles = ['row-20', 'bounce-20-s', 'settle'].map((id) =>
    html.indexOf(`>${plainBook.step('palm-up-bounce', id)!.title}<`),
  );
  expect(titles.every((at) => at > 0)).toBe(true);
  expect(titles).toEqual([...titles].sort((a, b) => a - b));
  // At ten the box of twenty seconds asks for nine tenths of 25.
  expect(html.match(/mark \d+/g)).toEqual(['mark 20', 'mark 23', 'mark 5']);
  expect(html).toContain('Flick and settle: 2 attempts, best 6 in a row');
  expect(html).toContain('Bounce for 20 seconds: 1 attempts, best 22 in the time');
});

test('the line of bests never falls, and ends at the last attempt', () => {
  const html = draw([5, 9, 2, 9, 14, 3].map((result, n) => attempt(n + 1, 'row-20', result)));
  const path = /<path d="(M[^"]+)" stroke="var\(--now\)"/.exec(html)![1]!;
  const points = [...path.matchAll(/[ML]([\d.]+),([\d.]+)/g)].map(([, x, y]) => ({
    x: Number(x),
    y: Number(y),
  }));
  for (let i = 1; i < points.length; i++) {
    expect(points[i]!.x).toBeGreaterThanOrEqual(points[i - 1]!.x);
    expect(points[i]!.y).toBeLessThanOrEqual(points[i - 1]!.y);
  }
  expect(points.at(-1)!.x).toBeCloseTo(dots(html).at(-1)!.x, 0);
});

test('a single attempt is no trouble', () => {
  expect(dots(draw([attempt(1, 'row-20', 7)]))).toHaveLength(1);
  expect(draw([attempt(1, 'row-20', 0)])).not.toContain('NaN');
});
