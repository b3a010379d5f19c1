import { plainBook } from '@/drills';
import { evaluatePlan, type CarefulPlayer, type PlanSetting } from '../plan/evaluate';
import { atHand } from '@/drills/base/kit';
import { paceOn, rateOn } from './pace';
import {
  blockOf,
  ownWorkFor,
  recordOf,
  sameShape,
  workOf,
  type PlanBlock,
  type PlanPlayer,
  type Records,
} from './plan';
import { openGround, timePlan, type Ground } from '../plan/time-plan';
import { commonStep, newBlock } from '../plan/place-block';
import { noLoadSum } from '@/core/dose/load';
import type { Place } from '@/core/venues/place';

const step = plainBook.step('palm-up-bounce', 'row-20')!;
const block = blockOf({
  id: 'b',
  drillId: 'palm-up-bounce',
  stepId: 'row-20',
  dose: { kind: 'row', target: 20, capS: 600 },
});
const records: Records = [
  ['sure', 'palm-up-bounce', 'row-20', 990, 10],
  ['sure', 'palm-up-bounce', 'row-50', 1, 99],
];
const players = (...ids: string[]): PlanPlayer[] => ids.map((id) => ({ id, age: 12 }));
const time = (blocks: readonly PlanBlock[], who: readonly PlanPlayer[], ground?: Ground) =>
  timePlan(plainBook, blocks, who, records, 10, ground);

test('a plan takes each player’s own record on the very step, and the usual rate without one', () => {
  expect(recordOf(records, 'sure', 'palm-up-bounce', 'row-20')).toEqual({ touches: 990, drops: 10 });
  expect(recordOf(records, 'new', 'palm-up-bounce', 'row-20')).toBeUndefined();
  expect(rateOn(step).value).toBeCloseTo(step.usualRate.value, 12);
  const drill = plainBook.drill('palm-up-bounce')!;
  expect(paceOn(drill, step, { own: 12, youngest: 12 }, { touches: 990, drops: 10 }).successRate).toBeCloseTo(
    0.989,
    3,
  );

  const alone = time([block], players('sure')).blocks[0]!;
  const both = time([block], players('sure', 'new')).blocks[0]!;
  expect(both.slowestId).toBe('new');
  expect(both.workS).toBeGreaterThan(alone.workS * 2);
});

test('drills no longer in the book, plans for nobody, and blocks everybody sits out take no time', () => {
  expect(time([{ ...block, drillId: 'gone' }], players('sure')).blocks).toEqual([]);
  expect(time([block], [])).toMatchObject({ totalS: 0, overrunS: -600 });
  const out = { ...block, own: [{ playerId: 'sure', stepId: 'row-20', amount: 20, out: true }] };
  expect(time([out], players('sure')).blocks).toEqual([]);
});

describe('each player’s own work', () => {
  const own = (playerId: string, stepId: string, amount: number | null, out = false) => ({
    playerId,
    stepId,
    amount,
    out,
  });

  test('their own step and amount inside the block’s shape', () => {
    const mixed = { ...block, own: [own('a', 'row-50', 30)] };
    expect(workOf(plainBook, mixed, 'a')).toMatchObject({
      step: { id: 'row-50' },
      dose: { kind: 'row', target: 30, capS: 600 },
    });
    expect(workOf(plainBook, mixed, 'b')).toMatchObject({ step: { id: 'row-20' }, dose: { target: 20 } });
  });

  test('a step of another shape cannot share the block: it is the block’s own then', () => {
    const odd = { ...block, own: [own('a', 'bounce-20-s', null)] };
    expect(workOf(plainBook, odd, 'a')!.step.id).toBe('row-20');
    expect(sameShape(step, plainBook.step('palm-up-bounce', 'bounce-20-s')!)).toBe(false);
  });

  test.each([
    ['row-50', 12, 'row-50', 50],
    ['row-50', 6, 'row-50', 15],
    // Standing on the time box, the highest row below it is the first step.
    ['bounce-20-s', 12, 'settle', 5],
    [undefined, 12, 'row-20', 20],
    ['gone', 12, 'row-20', 20],
  ])('standing on %p at %d: %s, %d', (standsOn, age, stepId, amount) => {
    expect(ownWorkFor(plainBook, block, { id: 'a', age }, standsOn)).toEqual(own('a', stepId, amount));
  });

  test('a new block: the lowest step of all, the dose of the youngest, everybody on their own', () => {
    const standing: Record<string, string> = { small: 'row-20', tall: 'row-50' };
    const who = [
      { id: 'small', age: 6 },
      { id: 'tall', age: 14 },
    ];
    const made = newBlock(plainBook, 'palm-up-bounce', who, (id) => standing[id], 'n');
    expect(made).toMatchObject({
      stepId: 'row-20',
      dose: step.doses['4-6'],
      stations: 1,
      breakS: 0,
      changes: [],
    });
    expect(made.own).toEqual([own('small', 'row-20', 8), own('tall', 'row-50', 50)]);
    expect(commonStep(plainBook.drill('ring-target')!, who, () => undefined).id).toBe('underarm-throw');
  });

  test('a change counts for everybody: fewer is six tenths of each one’s own', () => {
    const fewer = { ...block, changes: ['fewer'], own: [own('a', 'row-50', 50)] };
    expect(workOf(plainBook, fewer, 'a')!.dose).toMatchObject({ target: 30 });
    expect(workOf(plainBook, fewer, 'b')!.dose).toMatchObject({ target: 12 });
  });
});

test('every step of every drill can be planned for a group on any ground, in order, with finite numbers', () => {
  for (const drill of plainBook.drills)
    for (const one of drill.steps) {
      const planned = time(
        [blockOf({ id: 'b', drillId: drill.id, stepId: one.id, dose: one.doses['10-12'] })],
        players('a', 'b', 'c', 'd'),
      );
      expect(Number.isFinite(planned.totalS)).toBe(true);
      expect(planned.blocks[0]!.turns).toBe(Math.ceil(4 / Math.min(4, drill.players.max)));
    }
});

const yard: Place = {
  name: 'Yard',
  lengthM: 18,
  widthM: 12,
  ceilingM: null,
  surface: 'rough concrete',
  wallM: 6,
  tables: 0,
  hazards: [],
  quietFrom: null,
  quietTo: null,
};

describe('the whole plan looked at', () => {
  const careful = (id: string, more: Partial<CarefulPlayer> = {}): CarefulPlayer => ({
    id,
    age: 12,
    name: id,
    careNote: '',
    weekLoad: noLoadSum,
    dayLoad: noLoadSum,
    lastDone: {},
    ...more,
  });
  const setting = (more: Partial<PlanSetting> = {}): PlanSetting => ({
    book: plainBook,
    players: ['a', 'b', 'c', 'd'].map((id) => careful(id)),
    records: [],
    ground: openGround,
    bookedMin: 60,
    startTime: '16:30',
    airC: null,
    ...more,
  });
  const of = (drillId: string, more: Partial<PlanBlock> = {}) => {
    const first = plainBook.drill(drillId)!.steps[0]!;
    return blockOf({ id: drillId, drillId, stepId: first.id, dose: first.doses['10-12'], ...more });
  };

  test('the wall decides how many work at once: six metres, three each, two turns of two', () => {
    const ground = { place: yard, atHand: () => Infinity };
    const { time: planned, fits } = evaluatePlan([of('racket-wall-rally')], setting({ ground }));
    expect(fits.get('racket-wall-rally')).toMatchObject({ verdict: 'fits', atOnce: 2 });
    expect(planned.blocks[0]!.turns).toBe(2);
  });

  test('missing kit is said with its stand-in, a missing wall with the mend', () => {
    const ground = { place: { ...yard, wallM: 0 }, atHand: atHand({ racket: 4, ball: 8 }) };
    const { fits, warnings } = evaluatePlan(
      [of('palm-up-bounce'), of('racket-wall-rally')],
      setting({ ground }),
    );
    expect(fits.get('palm-up-bounce')!.verdict).toBe('fits');
    expect(fits.get('racket-wall-rally')!.verdict).toBe('no');
    expect(warnings.find((one) => one.rule === 'wall')?.mend).toEqual({
      kind: 'remove',
      blockId: 'racket-wall-rally',
    });
  });

  test('fast hands without their series: put it in and the warning is gone', () => {
    const rules = (blocks: PlanBlock[]) => evaluatePlan(blocks, setting()).warnings.map((one) => one.rule);
    expect(rules([of('fast-hand')])).toContain('warm-up first');
    expect(rules([of('wrist-and-forearm'), of('fast-hand')])).not.toContain('warm-up first');
  });

  test('heavy balls stop for a child; what was really done stands in for what was expected', () => {
    const heavy = of('fast-hand', {
      stepId: 'heavy-balls',
      dose: { kind: 'reps', sets: 1, reps: 5, sides: 1, restS: 0 },
    });
    expect(evaluatePlan([of('wrist-and-forearm'), heavy], setting()).warnings[0]).toMatchObject({
      rule: 'age',
      severity: 'stop',
    });
    const hops = of('line-hops');
    const over = evaluatePlan([hops], setting({ doneTries: () => 200 })).warnings;
    expect(over.find((one) => one.rule === 'load caps')?.text).toContain('200 landings');
    expect(evaluatePlan([hops], setting()).warnings.some((one) => one.rule === 'load caps')).toBe(false);
  });

  test('phases: a retest is its own, the rest follow the families', () => {
    const { phases } = evaluatePlan(
      [of('clap-and-catch', { retest: true }), of('ring-target', { id: 'r' })],
      setting(),
    );
    expect(phases.filter((one) => one.planned > 0).map((one) => one.id)).toEqual(['retest', 'game']);
  });
});
