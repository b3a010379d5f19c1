import { plainBook } from '@/drills';
import { kitAtHand } from '@/drills/base/kit';
import { shortShare } from '@/core/court/late';
import { asPlanned } from '@/core/counting/conditions';
import { amountOf } from '@/core/dose/amount';
import { shortened, workOnCourt } from './on-court';
import { timePlan } from '../plan/time-plan';
import { newBlock } from '../plan/place-block';
import { whatIsLeft } from './what-is-left';

const players = [
  { id: 'small', age: 6 },
  { id: 'tall', age: 14 },
];
const ground = { place: null, atHand: kitAtHand({}) };
const block = (id: string, drillId: string) => newBlock(plainBook, drillId, players, () => undefined, id);
const blocks = [
  { ...block('a', 'palm-up-bounce'), breakS: 60 },
  block('b', 'ring-target'),
  block('c', 'wrist-and-forearm'),
  block('d', 'marker-touches'),
];
const coming = blocks.slice(1).map((one) => ({ block: one, share: 1 }));

test('what is left is what the plan has left: one list, with set-up, changeovers and drinks', () => {
  const whole = timePlan(plainBook, blocks, players, [], 60, ground);
  const left = whatIsLeft(plainBook, [blocks[0]!], coming, players, [], ground);
  const [running] = whole.blocks;
  // The drink of 60 s and the way to the next block come after the running one.
  expect(left.afterRunningS).toBe(60 + running!.changeoverS);
  const sum = left.toCome.reduce((all, one) => all + one.seconds, left.afterRunningS);
  expect(sum + running!.setUpS + running!.showS + running!.activeS).toBeCloseTo(whole.totalS, 9);
  // Only the last block has no way to another.
  expect(left.toCome.map((one) => one.seconds)).toEqual(whole.blocks.slice(1).map((one) => one.totalS));
});

test('nothing runs: nothing comes after it; nothing is left: nothing is', () => {
  expect(whatIsLeft(plainBook, [], coming, players, [], ground).afterRunningS).toBe(0);
  expect(whatIsLeft(plainBook, [], [], players, [], ground).toCome).toEqual([]);
});

test('shortened, everybody does less of their own, as on court; warm-ups are kept', () => {
  const left = whatIsLeft(plainBook, [], coming, players, [], ground);
  for (const one of left.toCome) expect(one.shortS).toBeLessThan(one.seconds);
  expect(left.toCome.map((one) => one.keep)).toEqual([false, true, false]);
  for (const one of blocks)
    for (const player of players) {
      const onCourt = workOnCourt(plainBook, one, player, asPlanned, shortShare)!;
      const planned = workOnCourt(plainBook, shortened(one, shortShare), player, asPlanned)!;
      expect(amountOf(planned.dose)).toBe(amountOf(onCourt.dose));
    }
});
