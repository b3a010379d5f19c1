import fc from 'fast-check';
import highsLoader from 'highs';
import { brokenBy, usualWeights, worthOf, type BuildAsk } from './model';
import { runsBefore, type BuildOption } from './option';
import { asProgram } from './program';
import { inStretches, ofStretch, ranksOf, type Stretches } from './stretches';

const option = (id: string, seconds: number, more: Partial<BuildOption> = {}): BuildOption => ({
  id,
  drill: id,
  family: 'touch',
  phase: 0,
  seconds,
  good: [0.3],
  loads: [[0]],
  things: [],
  warms: [],
  asks: [],
  cost: 0,
  ...more,
});
const ids = (options: readonly BuildOption[] | null) => options?.map(({ id }) => id) ?? null;

/** Stretches an order takes when one drinks only where the next block would not fit any more. */
function taken(order: readonly BuildOption[], stretches: Stretches): number {
  let [count, sinceS] = [1, 0];
  for (const one of order) {
    const takes = ofStretch(one, stretches);
    if (sinceS + takes > stretches.seconds) [count, sinceS] = [count + 1, 0];
    sinceS += takes;
  }
  return count;
}

function orders<T>(items: readonly T[]): T[][] {
  if (items.length === 0) return [[]];
  return items.flatMap((first, at) =>
    orders(items.filter((_, n) => n !== at)).map((rest) => [first, ...rest]),
  );
}
const isAllowed = (order: readonly BuildOption[]): boolean =>
  order.every((one, at) => order.slice(at + 1).every((later) => !runsBefore(later, one)));

describe('an order with few drinks', () => {
  const twenty = (count: number): Stretches => ({ count, seconds: 1200 });
  test('700, 600, 500, 600: side by side they need three stretches, exchanged two', () => {
    const four = [option('a', 700), option('b', 600), option('c', 500), option('d', 600)];
    expect(taken(four, twenty(2))).toBe(3);
    const found = inStretches(four, twenty(2))!;
    expect(taken(found, twenty(2))).toBe(2);
    expect(ids(found)!.sort()).toEqual(['a', 'b', 'c', 'd']);
    expect(inStretches(four, twenty(1))).toBeNull();
  });
  test('a part of the session stays before the next, what asks for warmth after what warms', () => {
    const rows = [
      option('game', 600, { phase: 1 }),
      option('asks', 600, { asks: ['legs'] }),
      option('warm', 700, { warms: ['legs'] }),
    ];
    expect(ids(inStretches(rows, twenty(3)))).toEqual(['warm', 'asks', 'game']);
    // 700 + 600 is too long for one, and the game may not come before it.
    expect(ids(inStretches(rows, twenty(2)))).toEqual(['warm', 'asks', 'game']);
    expect(inStretches([...rows, option('more', 700)], twenty(2))).toBeNull();
  });
  test('what was begun keeps its own order', () => {
    const rows = [option('b', 700, { begun: true }), option('a', 600, { begun: true }), option('c', 500)];
    expect(ids(inStretches(rows, twenty(2)))).toEqual(['b', 'a', 'c']);
    expect(ranksOf(rows)).toEqual([-2, -1, 0]);
  });
  test('a block longer than a stretch has one to itself', () => {
    const rows = [option('long', 1500), option('b', 600), option('c', 600)];
    expect(inStretches(rows, twenty(1))).toBeNull();
    expect(taken(inStretches(rows, twenty(2))!, twenty(2))).toBe(2);
  });
  test('as few as in the best of all orders that may be run', () => {
    const blocks = fc.array(
      fc.record({
        seconds: fc.integer({ min: 60, max: 900 }),
        phase: fc.integer({ min: 0, max: 1 }),
        asks: fc.boolean(),
      }),
      { minLength: 1, maxLength: 6 },
    );
    fc.assert(
      fc.property(blocks, fc.integer({ min: 600, max: 1200 }), (parts, seconds) => {
        const rows = parts.map(({ asks, ...one }, at) =>
          option(String(at), one.seconds, { phase: one.phase, asks: asks ? ['legs'] : [] }),
        );
        const least = Math.min(
          ...orders(rows)
            .filter(isAllowed)
            .map((order) => taken(order, { count: 0, seconds })),
        );
        const found = inStretches(rows, { count: least, seconds })!;
        expect(isAllowed(found)).toBe(true);
        expect(taken(found, { count: least, seconds })).toBe(least);
        expect(inStretches(rows, { count: least - 1, seconds })).toBeNull();
      }),
      { numRuns: 60 },
    );
  });
});

test('the program of a session with drinks finds the best of every choice there is', async () => {
  const highs = await highsLoader();
  const questions = fc
    .record({
      drills: fc.array(
        fc.record({
          seconds: fc.integer({ min: 200, max: 700 }),
          good: fc.integer({ min: 10, max: 100 }),
          phase: fc.integer({ min: 0, max: 2 }),
          asks: fc.constantFrom(false, false, true),
        }),
        { minLength: 2, maxLength: 7 },
      ),
      count: fc.integer({ min: 1, max: 3 }),
    })
    .map(({ drills, count }): BuildAsk => {
      const options = drills.map(({ seconds, good, phase, asks }, at) =>
        option(String(at), seconds, {
          phase,
          good: [good / 50],
          asks: asks ? ['legs'] : [],
          warms: asks ? [] : ['legs'],
        }),
      );
      return {
        children: 1,
        options,
        seconds: 5000,
        wholeS: 2400,
        shares: [0.3, 0.4, 0.3],
        most: [null, null, null],
        mostBlocks: 9,
        caps: [[100]],
        locked: [],
        must: [],
        limits: [],
        stretches: { count, seconds: 900 },
        weights: usualWeights,
      };
    });
  let drank = 0;
  fc.assert(
    fc.property(questions, (ask) => {
      const { options } = ask;
      let best = worthOf(ask, []).total;
      let dry = best;
      for (let set = 1; set < 2 ** options.length; set++) {
        const chosen = options.filter((_, at) => set & (1 << at));
        const broken = brokenBy(ask, chosen);
        const { total } = worthOf(ask, chosen);
        if (broken === null) best = Math.max(best, total);
        if (brokenBy({ ...ask, stretches: null }, chosen) === null) dry = Math.max(dry, total);
      }
      if (dry > best + 1e-6) drank += 1;
      const { Status, ObjectiveValue, Columns } = highs.solve(asProgram(ask), { mip_rel_gap: 0 });
      expect(Status).toBe('Optimal');
      const chosen = options.filter(
        (_, at) => Math.round((Columns[`x${at}`] as { Primal: number }).Primal) === 1,
      );
      expect(brokenBy(ask, chosen)).toBeNull();
      expect(worthOf(ask, chosen).total).toBeCloseTo(best, 5);
      expect(ObjectiveValue).toBeCloseTo(best, 5);
    }),
    { numRuns: 40, seed: 5 },
  );
  // The drinks have to matter in some of them, else nothing was tried.
  expect(drank).toBeGreaterThan(5);
});
