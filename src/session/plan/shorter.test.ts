import { plainBook } from '@/drills';
import { amountOf } from '@/core/dose/amount';
import { asPlanned } from '@/core/counting/conditions';
import { breathlessShare, scaled } from '@/core/dose/scale';
import { doseInWords } from '@/core/dose/dose';
import { ageBandOf } from '@/drills/base/age-band';
import { scaleBlock } from './edits';
import { goalsOf } from '../base/goals';
import { shortened, workOnCourt } from '../court/on-court';
import { newBlock } from './place-block';
import { workOf } from '../base/plan';

/*
 * Shorter, in all its ways: for a block in the plan, for a child, on court for everybody and for one who is breathless. The
 * block and its children do the same.
 */
const every = plainBook.drills.flatMap((drill) =>
  drill.steps.flatMap((step) => [5, 8, 11, 14].map((age) => [drill.id, step.id, age] as const)),
);
const shares = [breathlessShare, 0.75, 0.5, 0.3];

test('every step, age and share: a shortened block and its children have one dose, in plan and on court', () => {
  let different = 0;
  for (const [drillId, stepId, age] of every) {
    const players = [{ id: 'a', age }];
    const block = newBlock(plainBook, drillId, players, () => stepId, 'b', stepId);
    const doc = { playerIds: ['a'], blocks: [block] };
    expect(amountOf(block.dose)).toBe(block.own[0]!.amount);
    for (const share of shares) {
      const at = `${drillId} ${stepId} ${age} ${share}`;
      const [planned] = scaleBlock(doc, 'b', share).blocks;
      const child = workOf(plainBook, planned!, 'a')!.dose;
      expect([at, doseInWords(child)]).toEqual([at, doseInWords(planned!.dose)]);
      expect([at, planned!.dose]).toEqual([at, scaled(block.dose, share)]);
      // To end on time, on court.
      const onCourt = workOnCourt(plainBook, block, players[0]!, asPlanned, share)!.dose;
      expect([at, onCourt]).toEqual([at, workOf(plainBook, shortened(block, share), 'a')!.dose]);
      expect([at, onCourt]).toEqual([at, child]);
      if (doseInWords(child) !== doseInWords(block.dose)) different += 1;
      expect(goalsOf({ ...workOf(plainBook, planned!, 'a')!, dose: onCourt }, age).aim).toBe(
        goalsOf(workOf(plainBook, planned!, 'a')!, age).aim,
      );
    }
    // One who is breathless does what a block does that was made shorter so.
    const breathless = workOnCourt(plainBook, block, players[0]!, { ...asPlanned, breathless: true })!.dose;
    expect(breathless).toEqual(scaled(block.dose, breathlessShare));
  }
  expect(different).toBeGreaterThan(1000);
});

test('children with amounts of their own keep their proportion: ages 5 and 14 in one block', () => {
  for (const { id: drillId, steps } of plainBook.drills)
    for (const { id: stepId } of steps) {
      const players = [
        { id: 'young', age: 5 },
        { id: 'old', age: 14 },
      ];
      const block = newBlock(plainBook, drillId, players, () => stepId, 'b', stepId);
      const [planned] = scaleBlock({ playerIds: ['young', 'old'], blocks: [block] }, 'b', 0.6).blocks;
      for (const { id, age } of players) {
        const whole = workOf(plainBook, block, id)!.dose;
        const short = workOf(plainBook, planned!, id)!.dose;
        expect([drillId, stepId, ageBandOf(age), amountOf(short)]).toEqual([
          drillId,
          stepId,
          ageBandOf(age),
          amountOf(scaled(whole, 0.6)),
        ]);
      }
    }
});
