import { renderToStaticMarkup } from 'react-dom/server';
import { noLoad } from '@/core/dose/load';
import { timeBlocks } from '@/core/plan/plan-time';
import { Field } from './field';
import { StageBall } from './stage-ball';
import { Stairs } from './stairs';
import { tapeLengthS } from '@/core/plan/tape';
import { Tape } from './tape';

const pace = { perTouchS: 2, dropCostS: 0, successRate: 1, setUpS: 30, showS: 0, changeoverS: 0 };
const minute = { kind: 'timed', rounds: 1, workS: 30, restS: 0 } as const;
const plan = (blocks: number, bookedMin: number) =>
  timeBlocks(
    Array.from({ length: blocks }, (_, n) => ({
      id: `b${n}`,
      players: [{ playerId: 'p', dose: minute, pace, load: noLoad }],
      holds: 8,
      helped: false,
      breakS: 0,
    })),
    bookedMin * 60,
  );

describe('the tape is to scale', () => {
  const draw = (blocks: number, bookedMin: number) => {
    const time = plan(blocks, bookedMin);
    const html = renderToStaticMarkup(<Tape {...time} titles={time.blocks.map((_, n) => `Drill ${n}`)} />);
    const pieces = [...html.matchAll(/left:([\d.]+)%;width:([\d.]+)%/g)].map(([, left, width]) => [
      Number(left),
      Number(width),
    ]);
    return { html, pieces };
  };

  test('blocks of a minute in a booking of ten: each a tenth, one after another', () => {
    const { pieces } = draw(3, 10);
    const tenth = 10 / 1.015;
    expect(pieces).toHaveLength(3);
    for (const [n, [left, width]] of pieces.entries()) {
      expect(left).toBeCloseTo(n * tenth, 3);
      expect(width).toBeCloseTo(tenth, 3);
    }
  });

  test('a plan over its booking is drawn whole, the booking’s end where it belongs', () => {
    const { pieces, html } = draw(12, 10);
    expect(pieces.at(-1)![0]! + pieces.at(-1)![1]!).toBeLessThanOrEqual(100);
    expect(tapeLengthS(720, 600)).toBeCloseTo(730.8, 6);
    expect(html).toContain('10 min booked');
  });

  test('ticks never crowd, however long the booking', () => {
    for (const bookedMin of [5, 20, 45, 90, 240]) {
      const ticks = draw(1, bookedMin).html.match(/border-l-2 border-edge/g) ?? [];
      expect(ticks.length).toBeGreaterThanOrEqual(3);
      expect(ticks.length).toBeLessThanOrEqual(15);
    }
  });
});

describe('the stairs', () => {
  const treads = ['a', 'b', 'c', 'd'].map((id) => ({ id, title: id }));
  const ball = (at: string) => {
    const found = /<circle cx="([\d.]+)" cy="([\d.]+)"/.exec(
      renderToStaticMarkup(<Stairs treads={treads} at={at} label="x" />),
    );
    return found && { x: Number(found[1]), y: Number(found[2]) };
  };

  test('the ball rests one tread further and higher with every step', () => {
    const balls = treads.map((tread) => ball(tread.id)!);
    for (const [n, one] of balls.entries()) {
      expect(one.x).toBeCloseTo((132 / 4) * (n + 0.5), 6);
      if (n > 0) expect(one.y).toBeLessThan(balls[n - 1]!.y);
    }
  });

  test('no ball without a place, and a name for those who cannot see', () => {
    expect(ball('nowhere')).toBeNull();
    expect(renderToStaticMarkup(<Stairs treads={treads} at="a" label="Step 1 of 4" />)).toContain(
      'aria-label="Step 1 of 4"',
    );
  });
});

test('a ball of every stage carries its letter and its name', () => {
  for (const [stage, letter] of [
    ['red', 'R'],
    ['orange', 'O'],
    ['green', 'G'],
    ['yellow', 'Y'],
  ] as const) {
    const html = renderToStaticMarkup(<StageBall stage={stage} sport="tennis" />);
    expect(html).toContain(`>${letter}<`);
    expect(html).toContain(`aria-label="${stage} ball"`);
  }
  expect(renderToStaticMarkup(<StageBall stage={null} sport="table tennis" />)).toContain('>T<');
  expect(renderToStaticMarkup(<StageBall stage={null} sport="tennis" />)).toBe('');
});

test('a field ties its label, hint and error to its input', () => {
  const html = renderToStaticMarkup(
    <Field label="Name" hint="As called." error="Name is empty.">
      <input />
    </Field>,
  );
  const id = /<label for="([^"]+)"/.exec(html)![1]!;
  expect(html).toContain(`id="${id}"`);
  expect(html).toContain(`aria-describedby="${id}-hint ${id}-error"`);
  expect(html).toContain('aria-invalid="true"');
});
