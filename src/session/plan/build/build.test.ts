import { buildQuickly } from '@/core/plan/build/search';
import { worthOf } from '@/core/plan/build/model';
import { noLoadSum } from '@/core/dose/load';
import { buildCase } from '@/demo/build-cases';
import { plainBook } from '@/drills';
import { evaluatePlan, type PlanSetting } from '../evaluate';
import { makeCircuit } from '../circuits';
import { newBlock } from '../place-block';
import type { PlanBlock } from '@/session/base/plan';
import { built, quickly, type Session } from './build';
import { answerBuild, type BuildJob, type BuildNews } from './job';
import { needOf, plainWorth, type ChildFacts } from './needs';
import { evenDials, prepare, type Wish } from './options';
import { leftOutOf, reasonOf, whyNothing } from './reasons';

const noWish: Wish = { must: [], banned: [], dials: evenDials, kept: [], begun: [], retest: null };
const cases = Array.from({ length: 16 }, (_, n) => buildCase(n));
const build = async (n: number, wish: Partial<Wish> = {}, change: Partial<PlanSetting> = {}) => {
  const { setting: usual, facts, standsOn } = buildCase(n);
  const setting = { ...usual, ...change };
  const prepared = prepare(setting, facts, standsOn, { ...noWish, ...wish });
  const { session } = built(prepared, setting, quickly(20));
  return { setting, facts, standsOn, prepared, session: session! };
};
const drillsOf = ({ blocks }: Session) => blocks.map(({ drillId }) => drillId);

test.each(cases.map(({ name }, n) => [name, n] as const))(
  '%s: built inside its time, past every rule the plan is looked at by, in the order of its parts',
  async (_name, n) => {
    const { setting, prepared, session } = await build(n);
    const { time, warnings, fits } = evaluatePlan(session.blocks, setting);
    expect(time.totalS).toBeLessThanOrEqual(prepared.mostS);
    expect(time.overrunS).toBeLessThanOrEqual(0);
    expect(warnings.filter(({ severity }) => severity !== 'note').map(({ text }) => text)).toEqual([]);
    for (const fit of fits.values()) expect(fit.verdict).not.toBe('no');
    const phases = session.ids.map((id) => prepared.ask.options.find((one) => one.id === id)!.phase);
    expect(phases).toEqual([...phases].sort((a, b) => a - b));
    // What is expected of the plan is what each block brings: nothing is counted twice.
    const touches = session.blocks.map((block) => evaluatePlan([block], setting).time.touchesOf);
    for (const { id } of setting.players)
      expect(time.touchesOf[id] ?? 0).toBeCloseTo(
        touches.reduce((sum, one) => sum + (one[id] ?? 0), 0),
        6,
      );
  },
);

test('what is asked for is in, what is not wanted is not, what is kept stays as it is', async () => {
  const { session, standsOn, setting } = await build(4);
  const [first, second] = drillsOf(session);
  const kept = { ...newBlock(plainBook, second!, setting.players, standsOn(second!), 'mine'), breakS: 30 };
  const absent = plainBook.drills.find(({ id }) => id === 'soft-catch')!.id;
  const again = (await build(4, { banned: [first!], must: [absent], kept: [kept] })).session;
  expect(drillsOf(again)).not.toContain(first);
  expect(drillsOf(again)).toContain(absent);
  expect(again.blocks.find(({ id }) => id === 'mine')).toMatchObject({ dose: kept.dose, own: kept.own });
});

test('a kept circuit stays together, with its groups and its share of the time', async () => {
  const { session, standsOn, setting } = await build(4);
  const own = drillsOf(session)
    .slice(1, 4)
    .map((drillId, index) =>
      newBlock(plainBook, drillId, setting.players, standsOn(drillId), `mine ${index}`),
    );
  const playerIds = setting.players.map(({ id }) => id);
  const circuit = makeCircuit(
    setting,
    { playerIds, blocks: own },
    own.map(({ id }) => id),
    'round',
  );
  const again = (await build(4, { kept: circuit.blocks }, { bookedMin: 60 })).session;
  const at = again.blocks.findIndex((block) => block.circuit);
  expect(again.blocks.slice(at, at + 3)).toEqual(
    circuit.blocks.map(
      (block) => expect.objectContaining({ id: block.id, circuit: block.circuit }) as PlanBlock,
    ),
  );
  expect(again.ids.slice(at, at + 3)).toEqual(circuit.blocks.map(({ id }) => `kept ${id}`));
  expect(again.evaluation.time.overrunS).toBeLessThanOrEqual(0);
  expect(again.blocks.length).toBeGreaterThan(3);
});

test('what was begun stands first and stays, whatever it is; what is kept is the coach’s word', async () => {
  const { standsOn, setting } = buildCase(4);
  const block = (drillId: string, id: string) =>
    newBlock(plainBook, drillId, setting.players, standsOn(drillId), id);
  // A game, a drill twice, and hops with nothing before them that warms the legs.
  const kept = [
    block('ring-target', 'one'),
    block('line-hops', 'two'),
    block('palm-up-bounce', 'three'),
    block('palm-up-bounce', 'four'),
    block('square-target', 'five'),
  ];
  const { session } = await build(4, { kept, begun: ['one', 'two'] });
  expect(session.blocks.slice(0, 2).map(({ id }) => id)).toEqual(['one', 'two']);
  for (const { id, dose } of kept)
    expect(session.blocks.find((one) => one.id === id)).toMatchObject({ dose });
  expect(session.blocks.length).toBeGreaterThan(kept.length);
});

test('a drink comes where the rule of drinks has one due, and as long as it says', async () => {
  const { session } = await build(4);
  expect(session.blocks.some(({ breakS }) => breakS > 0)).toBe(true);
  expect(session.evaluation.warnings.map(({ rule }) => rule)).not.toContain('drink break');
});

test('a retest opens the session it is in', async () => {
  const { standsOn, setting } = buildCase(4);
  const retest = newBlock(plainBook, 'palm-up-bounce', setting.players, standsOn('palm-up-bounce'), 'last');
  const { prepared } = await build(4, { retest });
  const option = prepared.ask.options.find(({ id }) => id === 'palm-up-bounce@retest')!;
  expect(option.phase).toBe(0);
  expect(prepared.blocks.get(option.id)).toMatchObject({ retest: true, stepId: retest.stepId });
  expect(prepared.ask.most[0]).toBe(1);
});

test('each dial turns what it says', async () => {
  const touches = ({ evaluation }: Session) =>
    Object.values(evaluation.time.touchesOf).reduce((sum, one) => sum + one, 0);
  let [more, newer, calmer] = [0, 0, 0];
  for (const n of [0, 5, 8, 12]) {
    const { session, facts } = await build(n);
    const fresh = ({ blocks }: Session) =>
      blocks.reduce(
        (sum, { drillId }) =>
          sum + facts.filter(({ ladders }) => !ladders.some((one) => one.drillId === drillId)).length,
        0,
      ) / blocks.length;
    more += touches((await build(n, { dials: { ...evenDials, touches: true } })).session) - touches(session);
    newer += fresh((await build(n, { dials: { ...evenDials, fresh: true } })).session) - fresh(session);
    calmer +=
      (await build(n, { dials: { ...evenDials, calm: true } })).session.blocks.length - session.blocks.length;
  }
  expect(more).toBeGreaterThan(0);
  expect(newer).toBeGreaterThan(0);
  expect(calmer).toBeLessThanOrEqual(0);
});

test('a child more never makes it better for everybody: the least served are no better off', async () => {
  const { setting, facts, standsOn } = buildCase(5);
  const fewer = { ...setting, players: setting.players.slice(0, -1) };
  const [all, less] = [setting, fewer].map((one) => {
    const prepared = prepare(one, facts, standsOn, noWish);
    const quick = buildQuickly(prepared.ask, 20)!;
    return worthOf(
      prepared.ask,
      prepared.ask.options.filter(({ id }) => quick.ids.includes(id)),
    ).served;
  });
  expect(all!.slice(0, -1).some((served, child) => served <= less![child]! + 1e-9)).toBe(true);
});

describe('what a drill is worth to a child', () => {
  const drill = plainBook.drill('palm-up-bounce')!;
  const facts = (more: Partial<ChildFacts>): ChildFacts => ({
    playerId: 'a',
    focusDrills: [],
    train: null,
    ladders: [],
    ...more,
  });
  const whys = (one: ChildFacts, asked = false) => needOf(drill, one, asked).map(({ why }) => why);
  const done = (daysAway: number, chance: number | null) =>
    facts({ ladders: [{ drillId: drill.id, daysAway, chance }] });

  test('the focus, a mark that is near, the right hardness, what was not done lately, what is new', () => {
    expect(whys(facts({}))).toEqual(['new']);
    expect(whys(facts({ focusDrills: [drill.id] }), true)).toEqual(['asked', 'focus', 'new']);
    expect(whys(done(2, 0.7))).toEqual(['mark near', 'right hardness']);
    expect(whys(done(2, 0.2))).toEqual([]);
    expect(whys(done(14, null))).toEqual(['not done lately']);
    expect(plainWorth).toBeGreaterThan(0);
  });
  test('what all do together is never new: nobody counts it', () => {
    const series = plainBook.drill('shoulder-and-side')!;
    expect(needOf(series, facts({}), false)).toEqual([]);
    expect(needOf(series, facts({}), true).map(({ why }) => why)).toEqual(['asked']);
  });
  test('a less sure ball only where that is what the drill has', () => {
    const live = plainBook.drills.find(({ feed }) => feed.predictability === 'live')!;
    expect(needOf(live, facts({ train: 'live' }), false).map(({ why }) => why)).toContain('train');
    expect(needOf(live, facts({ train: 'random' }), false).map(({ why }) => why)).not.toContain('train');
  });
});

test('reasons say whom a block serves and what it costs; what was left out says what it would push out', async () => {
  const { prepared, session, setting } = await build(4);
  const names = setting.players.map(({ name }) => name);
  for (const id of session.ids) {
    const option = prepared.ask.options.find((one) => one.id === id)!;
    const { costs } = reasonOf(option, prepared.needs.get(option.drill)!, names, 'none');
    expect(costs).toMatch(/min/);
  }
  const out = leftOutOf(prepared, session.ask, session.ids, plainBook);
  expect(out).toHaveLength(5);
  for (const { drillId, why } of out) {
    expect(drillsOf(session)).not.toContain(drillId);
    expect(why).toMatch(
      /^It would (push out .+|only make the session fuller), (for as much|and bring [\d.]+ % less)/,
    );
  }
});

describe('where nothing can be built, it says why and what would do', () => {
  const why = (n: number, wish: Partial<Wish>, change: Partial<PlanSetting> = {}) => {
    const { setting, facts, standsOn } = buildCase(n);
    const one = { ...noWish, ...wish };
    return whyNothing(prepare({ ...setting, ...change }, facts, standsOn, one), one, plainBook);
  };
  test.each([
    [
      'a drill with a wall where there is none',
      2,
      { must: ['racket-wall-rally'] },
      /^Racket wall rally was asked for/,
    ],
    [
      'asked for and left out',
      0,
      { must: ['soft-catch'], banned: ['soft-catch'] },
      /at once: choose one of the two/,
    ],
    [
      'more than there is time for',
      0,
      { must: plainBook.drills.slice(0, 40).map(({ id }) => id) },
      /was asked for|book longer, or ask for less/,
    ],
  ])('%s', (_what, n, wish, words) => expect(why(n, wish)).toMatch(words));
  test('no minutes', () => expect(why(0, {}, { bookedMin: 1 })).toMatch(/book longer/));
  test('no room', () => {
    const place = { ...buildCase(2).setting.ground.place!, lengthM: 0.5, widthM: 0.5, ceilingM: 1.5 };
    expect(why(2, {}, { ground: { place, atHand: () => 0 } })).toMatch(
      /^No drill can be done here.*Choose another place/,
    );
  });
});

test('sixty children are built for as well, and quickly enough to wait for', async () => {
  const { setting, facts, standsOn } = buildCase(7);
  const many = Array.from({ length: 60 }, (_, n) => ({
    ...setting.players[0]!,
    id: `m${n}`,
    name: `Child ${n}`,
    age: 10 + (n % 4),
    weekLoad: noLoadSum,
    dayLoad: noLoadSum,
  }));
  const prepared = prepare({ ...setting, players: many }, facts, standsOn, noWish);
  const { session } = built(prepared, { ...setting, players: many }, quickly(20));
  expect(session!.blocks.length).toBeGreaterThan(3);
});

describe('a job', () => {
  const { setting, facts } = buildCase(4);
  const job: BuildJob = {
    players: setting.players,
    records: [],
    bookedMin: setting.bookedMin,
    startTime: '16:30',
    airC: null,
    contents: { own: [], retired: [], choices: [] },
    coach: '',
    place: setting.ground.place,
    kit: {},
    facts,
    standing: [],
    wish: noWish,
    seed: 1,
  };
  const news = async (one: BuildJob, solver: Parameters<typeof answerBuild>[2]) => {
    const told: BuildNews[] = [];
    await answerBuild(one, (each) => told.push(each), solver);
    return told;
  };
  const quickSolver = () =>
    Promise.resolve((ask: Parameters<typeof buildQuickly>[0]) => {
      const found = ask.stretches ? null : buildQuickly(ask, 3);
      return { built: found, bound: found ? found.worth : -Infinity };
    });

  test('two ways at once, the second with at most half of the first; better ones after, never worse; then the proof', async () => {
    const told = await news(job, quickSolver);
    const all = told.flatMap((one) => (one.kind === 'proposals' ? [one] : []));
    expect(all.map(({ final }) => final)).toEqual([...all.slice(1).map(() => false), true]);
    const [first, last] = [all[0]!.proposals, all.at(-1)!.proposals];
    expect(first.map(({ proof }) => proof)).toEqual(['quick', 'quick']);
    // What says so is the solver's word on the question as it was asked; here it is the quick answer's own.
    for (const { proof, gap } of last) {
      expect(['proven', 'within']).toContain(proof);
      expect(gap! <= 1e-5).toBe(proof === 'proven');
    }
    // The second way is asked for as another than the first one that was found.
    const [one, other] = [first[0]!, last[1]!].map(({ blocks }) => [
      ...new Set(blocks.map(({ drillId }: PlanBlock) => drillId)),
    ]);
    expect(other!.filter((id) => one!.includes(id)).length).toBeLessThanOrEqual(one!.length / 2);
    for (const [n, { worth }] of last.entries()) expect(worth).toBeGreaterThanOrEqual(first[n]!.worth - 1e-9);
    for (const { blocks, reasons } of last) expect(reasons).toHaveLength(blocks.length);
  });

  test('the same job gives the same sessions', async () => {
    expect(await news(job, quickSolver)).toEqual(await news(job, quickSolver));
  });

  test('what the rules take on the way is said as a gap, not called the best', async () => {
    // A solver that promises more than any session can be: the answer is that far below it.
    const told = await news(job, () =>
      Promise.resolve((ask) => {
        const found = buildQuickly(ask, 3)!;
        return { built: found, bound: found.worth + 1 };
      }),
    );
    const last = told.at(-1)!;
    if (last.kind !== 'proposals') throw new Error('nothing was built');
    for (const { proof, gap } of last.proposals) {
      expect(proof).toBe('within');
      expect(gap).toBeGreaterThan(0.05);
    }
    const unsure = await news(job, () =>
      Promise.resolve((ask) => ({ built: buildQuickly(ask, 3), bound: null })),
    );
    expect(unsure.at(-1)).toMatchObject({ proposals: [{ proof: 'open', gap: null }, { proof: 'open' }] });
  });

  test('nothing that can be: a sentence', async () => {
    const wish = { ...noWish, must: ['soft-catch'], banned: ['soft-catch'] };
    const told = await news({ ...job, wish }, quickSolver);
    expect(told).toEqual([
      { kind: 'nothing', why: expect.stringMatching(/choose one of the two/) as string },
    ]);
  });
});
