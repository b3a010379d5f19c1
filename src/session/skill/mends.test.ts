import fc from 'fast-check';
import { plainBook } from '@/drills';
import { evaluatePlan, type CarefulPlayer, type PlanSetting } from '../plan/evaluate';
import { newBlock } from '../plan/place-block';
import type { PlanBlock } from '../base/plan';
import type { Mend, Warning } from '@/core/care/care';
import { noLoadSum } from '@/core/dose/load';
import type { Place } from '@/core/venues/place';
import { places } from '@/demo/house';
import { applyMend, type Knows, type PlanParts } from '../plan/edits';

/* For any plan of the catalogue's drills: the mend that a warning offers does away with that warning. */
const ages = [5, 8, 11, 15];
const players = ages.map((age, n): CarefulPlayer => ({
  id: `p${n}`,
  name: `P${n}`,
  age,
  careNote: n === 2 ? 'Right wrist is healing.' : '',
  weekLoad: noLoadSum,
  dayLoad: noLoadSum,
  lastDone: {},
}));
const knows: Knows = { book: plainBook, squad: players, standsOn: () => () => undefined };
const drillIds = plainBook.drills.map((drill) => drill.id);

const doc = (blocks: readonly PlanBlock[]): PlanParts => ({
  playerIds: players.map((player) => player.id),
  blocks,
});
const setting = (place: Place | null, airC: number | null): PlanSetting => ({
  book: plainBook,
  players,
  records: [],
  ground: { place, atHand: () => Infinity },
  bookedMin: 60,
  startTime: '14:00',
  airC,
});

/** A random plan: drills, steps, and how much bigger than usual the dose is. */
const anyPlan = fc
  .array(
    fc.record({
      drillId: fc.constantFrom(...drillIds),
      step: fc.nat({ max: 11 }),
      times: fc.constantFrom(1, 1, 1, 2),
    }),
    { minLength: 1, maxLength: 8 },
  )
  .map((list) =>
    list.map(({ drillId, step, times }, n) => {
      const { steps } = plainBook.drill(drillId)!;
      const stepId = steps[step % steps.length]!.id;
      const block = newBlock(plainBook, drillId, players, () => undefined, `b${n}`, stepId);
      return {
        ...block,
        own: block.own.map((one) => ({ ...one, amount: one.amount && one.amount * times })),
      };
    }),
  );
const anySetting = fc.tuple(
  fc.constantFrom(null, ...(places as readonly Place[])),
  fc.constantFrom(null, 20, 33),
);

const saying = ({ rule, blockId, playerId, text }: Warning) =>
  [rule, blockId, playerId, text.replace(/\d+/g, '#')].join(' ');
const same = (a: Warning, b: Warning) => saying(a) === saying(b);
const mended = (blocks: readonly PlanBlock[], mend: Mend) =>
  applyMend(knows, doc(blocks), mend, 'mend').blocks;

/** Warnings about an amount grow smaller with every press; the others are gone at once. */
const byAmount = new Set(['load caps', 'total minutes', 'both sides']);

test('a mend that puts something in, moves it, takes it out or lets somebody sit out does away with its warning', () => {
  const kinds = new Set<string>();
  fc.assert(
    fc.property(anyPlan, anySetting, (blocks, [place, airC]) => {
      const at = setting(place, airC);
      for (const warning of evaluatePlan(blocks, at).warnings) {
        if (!warning.mend || byAmount.has(warning.rule)) continue;
        kinds.add(warning.mend.kind);
        const after = evaluatePlan(mended(blocks, warning.mend), at).warnings;
        expect(after.filter((one) => same(one, warning))).toEqual([]);
      }
    }),
    { numRuns: 150 },
  );
  expect([...kinds].sort()).toEqual(expect.arrayContaining(['break', 'insert', 'remove', 'sit-out']));
});

test('a load over its line comes down to it when the offered share is taken, press by press', () => {
  fc.assert(
    fc.property(anyPlan, (blocks) => {
      const at = setting(null, null);
      let now: readonly PlanBlock[] = blocks;
      for (let presses = 0; presses < 40; presses++) {
        const over = evaluatePlan(now, at).warnings.find((one) => one.rule === 'load caps' && one.mend);
        if (!over) return;
        const next = mended(now, over.mend!);
        // A block that is as short as it can be is taken out by hand.
        if (JSON.stringify(next) === JSON.stringify(now)) return;
        now = next;
      }
      throw new Error('Forty presses, and a load is still over its line.');
    }),
    { numRuns: 150 },
  );
});

test('the other hand takes its part: the share of one side goes down', () => {
  const bounce = newBlock(plainBook, 'palm-up-bounce', players, () => undefined, 'b0', 'row-50');
  const blocks = [bounce, { ...bounce, id: 'b1' }];
  const at = setting(null, null);
  const [warning] = evaluatePlan(blocks, at).warnings.filter((one) => one.rule === 'both sides');
  expect(warning?.mend).toMatchObject({ kind: 'other hand' });
  const after = evaluatePlan(mended(blocks, warning!.mend!), at).warnings;
  expect(after.filter((one) => one.rule === 'both sides')).toEqual([]);
});

test('looking at a plan changes nothing in it, and twice gives the same', () => {
  fc.assert(
    fc.property(anyPlan, anySetting, (blocks, [place, airC]) => {
      const at = setting(place, airC);
      const frozen = JSON.stringify(blocks);
      const first = evaluatePlan(blocks, at);
      expect(evaluatePlan(blocks, at).warnings).toEqual(first.warnings);
      expect(JSON.stringify(blocks)).toBe(frozen);
      const { time } = first;
      expect(time.blocks.reduce((sum, block) => sum + block.totalS, 0)).toBeCloseTo(time.totalS, 6);
      for (const { id } of players)
        expect(time.blocks.reduce((sum, block) => sum + (block.touchesOf[id] ?? 0), 0)).toBeCloseTo(
          time.touchesOf[id] ?? 0,
          6,
        );
    }),
    { numRuns: 100 },
  );
});
