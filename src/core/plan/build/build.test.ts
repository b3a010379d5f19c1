import fc from 'fast-check';
import highsLoader from 'highs';
import { brokenBy, usualWeights, varietyOf, worthOf, type BuildAsk } from './model';
import type { BuildOption } from './option';
import { asProgram } from './program';
import { buildQuickly } from './search';
import { BuildState } from './state';

const option = (id: string, more: Partial<BuildOption> = {}): BuildOption => ({
  id,
  drill: id,
  family: 'touch',
  phase: 1,
  seconds: 300,
  good: [0.2, 0.2],
  loads: [[0, 0]],
  things: [],
  warms: [],
  asks: [],
  cost: 0,
  ...more,
});
const asked = (options: readonly BuildOption[], more: Partial<BuildAsk> = {}): BuildAsk => ({
  children: 2,
  options,
  seconds: 1200,
  wholeS: 1200,
  shares: [0.2, 0.8],
  most: [null, null],
  caps: [[100, 100]],
  mostBlocks: 9,
  locked: [],
  must: [],
  limits: [],
  stretches: null,
  weights: usualWeights,
  ...more,
});

/** Questions of up to sixteen options in two sizes, small enough to be solved whole. */
const questions = fc
  .record({
    drills: fc.array(
      fc.record({
        family: fc.constantFrom('touch', 'feet', 'wall'),
        phase: fc.integer({ min: 0, max: 2 }),
        seconds: fc.integer({ min: 60, max: 700 }),
        good: fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 3, maxLength: 3 }),
        load: fc.constantFrom(0, 0, 0, 30, 60),
        thing: fc.constantFrom(null, 'cone', 'wall ball'),
        warms: fc.boolean(),
        asks: fc.constantFrom(false, false, true),
      }),
      { minLength: 2, maxLength: 8 },
    ),
    seconds: fc.integer({ min: 200, max: 2400 }),
    must: fc.boolean(),
  })
  .map(({ drills, seconds, must }): BuildAsk => {
    const options = drills.flatMap(({ family, phase, good, load, thing, warms, asks, seconds: s }, at) =>
      [1, 1.6].map((size) => ({
        id: `${at}@${size}`,
        drill: String(at),
        family,
        phase,
        seconds: Math.round(s * size),
        good: good.map((one) => (one / 200) * Math.sqrt(size)),
        loads: [[load * size, load * size, 0]],
        things: thing ? [thing] : [],
        warms: warms ? ['legs'] : [],
        asks: asks ? ['legs'] : [],
        cost: asks ? 0.02 : 0,
      })),
    );
    return {
      children: 3,
      options,
      seconds,
      wholeS: seconds,
      shares: [0.2, 0.5, 0.3],
      most: [null, 2, 1],
      mostBlocks: 5,
      caps: [[100, 80, 60]],
      locked: [],
      must: must ? ['0'] : [],
      limits: [],
      stretches: null,
      weights: usualWeights,
    };
  });

test('what a choice is worth adds up by hand', () => {
  // Two blocks of 300 s in 1200 s: phase 0 has 0.25 for 0.2, phase 1 has 0.25 for 0.8: off by 0.05 and 0.55.
  const ask = asked([
    option('a', { phase: 0, good: [0.4, 0.2], things: ['cone'] }),
    option('b', { good: [0.1, 0.5], things: ['cone', 'hoop'], cost: 0.03 }),
  ]);
  const { total, served } = worthOf(ask, ask.options);
  expect(served).toEqual([0.5, 0.7]);
  // Mean 0.6, least 0.5 at a half, the second of a family 0.3 + 0.12, phases 1.5 × 0.6, two blocks, two things, one cost.
  expect(total).toBeCloseTo(0.6 + 0.5 * 0.5 + 0.42 - 1.5 * 0.6 - 2 * 0.5 - 2 * 0.02 - 0.03, 9);
});

test('a block comes in with what has to warm for it, where neither is worth its time alone', () => {
  // The cold pair takes all the time there is: no adding, exchanging or leaving out of one block leads there.
  const ask = asked(
    [
      ...['a', 'b', 'c', 'd'].map((id) => option(id, { good: [0.6, 0.6] })),
      option('shoulder', { phase: 0, seconds: 600, good: [0, 0], warms: ['shoulder'] }),
      option('serve', { seconds: 600, good: [4, 4], asks: ['shoulder'] }),
    ],
    { shares: [0, 1], weights: { ...usualWeights, variety: [0, 0, 0, 0], phase: 0 } },
  );
  expect(buildQuickly(ask, 1)!.ids).toEqual(['shoulder', 'serve']);
});

test('variety falls off', () =>
  expect([0, 1, 2, 3, 4, 5].map((n) => varietyOf(n, usualWeights))).toEqual(
    [0, 0.3, 0.42, 0.42, 0.3, 0.18].map((worth) => expect.closeTo(worth, 9) as number),
  ));

test.each([
  ['time', asked([option('a', { seconds: 1300 })]), [0]],
  ['blocks', asked([option('a'), option('b')], { mostBlocks: 1 }), [0, 1]],
  ['twice', asked([option('a'), option('b', { drill: 'a' })]), [0, 1]],
  ['locked', asked([option('a'), option('b')], { locked: ['b'] }), [0]],
  ['must', asked([option('a'), option('b')], { must: ['b'] }), [0]],
  ['most of a phase', asked([option('a'), option('b')], { most: [null, 1] }), [0, 1]],
  ['care', asked([option('a', { loads: [[60, 0]] }), option('b', { loads: [[60, 0]] })]), [0, 1]],
  ['warm-up', asked([option('a', { asks: ['legs'] }), option('b', { warms: ['legs'], phase: 2 })]), [0, 1]],
  ['together', asked([option('a'), option('b')], { limits: [{ ids: ['a', 'b'], most: 1 }] }), [0, 1]],
] as const)('%s is a hard limit', (name, ask, at) =>
  expect(
    brokenBy(
      ask,
      at.map((one) => ask.options[one]!),
    ),
  ).toBe(name),
);

test('a warm-up in the part before, or first in the same part, will do', () => {
  const asks = option('b', { asks: ['legs'], phase: 1 });
  for (const phase of [0, 1]) {
    const warm = option('a', { warms: ['legs'], phase });
    expect(brokenBy(asked([warm, asks]), [warm, asks])).toBeNull();
  }
});

test('a state tells what a move would bring as the model does, and forbids what it forbids', () => {
  fc.assert(
    fc.property(questions, fc.array(fc.nat(), { minLength: 1, maxLength: 12 }), (ask, steps) => {
      const state = new BuildState(ask);
      for (const at of ask.must.map((drill) => ask.options.findIndex((one) => one.drill === drill)))
        state.move(-1, at);
      const of = (places: readonly number[]) => places.map((at) => ask.options[at]!);
      for (const step of steps) {
        const into = step % ask.options.length;
        if (state.isIn(into)) continue;
        const out = state.rivalOf(into);
        const after = [...state.chosen().filter((at) => at !== out), into];
        const told = state.with(out, into);
        // What was broken before (a drill that had to be in) is not this move's doing.
        if (brokenBy(ask, of(state.chosen())) === null)
          expect(told === -Infinity).toBe(brokenBy(ask, of(after)) !== null);
        if (told === -Infinity) continue;
        state.move(out, into);
        expect(told).toBeCloseTo(worthOf(ask, of(after)).total, 9);
        expect(state.worth()).toBeCloseTo(told, 9);
      }
    }),
  );
});

describe('against a solver of integer programs', () => {
  let highs: Awaited<ReturnType<typeof highsLoader>>;
  beforeAll(async () => {
    highs = await highsLoader();
  });
  const solve = (ask: BuildAsk) => {
    const { Status, ObjectiveValue, Columns } = highs.solve(asProgram(ask), { mip_rel_gap: 0 });
    const chosen = ask.options.filter(
      (_, at) => Math.round((Columns[`x${at}`] as { Primal: number }).Primal ?? 0) === 1,
    );
    return { isSolved: Status === 'Optimal', worth: ObjectiveValue, chosen };
  };

  test('the program and the model say the same of the best choice, and it keeps every limit', () => {
    fc.assert(
      fc.property(questions, (ask) => {
        const best = solve(ask);
        if (!best.isSolved) return;
        expect(brokenBy(ask, best.chosen)).toBeNull();
        expect(best.worth).toBeCloseTo(worthOf(ask, best.chosen).total, 5);
      }),
      { numRuns: 60 },
    );
  });

  test('what is built quickly keeps every limit, is never better than the best, and seldom worse', () => {
    let [solved, best] = [0, 0];
    fc.assert(
      fc.property(questions, fc.integer(), (ask, seed) => {
        const built = buildQuickly(ask, seed);
        const most = solve(ask);
        expect(built === null).toBe(!most.isSolved);
        if (!built) return;
        const chosen = built.ids.map((id) => ask.options.find((one) => one.id === id)!);
        expect(brokenBy(ask, chosen)).toBeNull();
        expect(built.worth).toBeLessThanOrEqual(most.worth + 1e-5);
        solved += 1;
        if (built.worth > most.worth - 1e-5) best += 1;
      }),
      { numRuns: 80, seed: 17 },
    );
    expect(solved).toBeGreaterThan(50);
    expect(best / solved).toBeGreaterThan(0.95);
  });

  test('more minutes never make the best worse', () => {
    fc.assert(
      fc.property(questions, fc.integer({ min: 10, max: 600 }), (ask, more) => {
        // Shares are of the whole, so that they ask for more of everything in a longer session: they are left out here.
        const plain = { ...ask, weights: { ...ask.weights, phase: 0 } };
        const [short, long] = [solve(plain), solve({ ...plain, seconds: plain.seconds + more })];
        if (short.isSolved) expect(long.worth).toBeGreaterThanOrEqual(short.worth - 1e-5);
      }),
      { numRuns: 40 },
    );
  });

  test('more to carry by, or a lighter line of care, never makes the best worse', () => {
    fc.assert(
      fc.property(questions, (ask) => {
        const light = { ...ask, caps: ask.caps.map((own) => own.map((cap) => cap + 40)) };
        const [now, more] = [solve(ask), solve(light)];
        if (now.isSolved) expect(more.worth).toBeGreaterThanOrEqual(now.worth - 1e-5);
      }),
      { numRuns: 30 },
    );
  });
});

test('the same question and seed give the same session; what is locked stays, from where it stood', () => {
  fc.assert(
    fc.property(questions, fc.integer(), (ask, seed) => {
      const one = buildQuickly(ask, seed);
      expect(buildQuickly(ask, seed)).toEqual(one);
      const keep = one?.ids[0];
      if (!keep) return;
      const again = buildQuickly({ ...ask, locked: [keep] }, seed + 1, one.ids);
      expect(again?.ids).toContain(keep);
      expect(again!.worth).toBeGreaterThanOrEqual(one.worth - 1e-6);
    }),
    { numRuns: 40 },
  );
});
