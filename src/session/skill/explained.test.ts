import { explainBlockTime, explainBlockTouches, type DosePart } from '@/core/explanations/dose';
import type { Explanation } from '@/core/base/explain';
import { explainPlanTotal, explainPlanTouches } from '@/core/explanations/plan';
import { doseTime } from '@/core/dose/time';
import { plainBook } from '@/drills';
import { ageBandOf } from '@/drills/base/age-band';
import { paceOn, rateOn } from '../base/pace';
import { blockOf, ownWorkFor, workOf, type PlanBlock, type PlanPlayer } from '../base/plan';
import { timePlan } from '../plan/time-plan';

/* What stands on the screen adds up, by the formula beside it: read back from the words, for every step of the catalogue. */
const players: readonly PlanPlayer[] = [
  { id: 'Pia', age: 5 },
  { id: 'Juno', age: 11 },
];

/** Every step as a block for both, each at the amount of their age. */
const blocks: readonly PlanBlock[] = plainBook.drills.flatMap((drill) =>
  drill.steps.map((step) => {
    const plain = blockOf({
      id: `${drill.id} ${step.id}`,
      drillId: drill.id,
      stepId: step.id,
      dose: step.doses[ageBandOf(5)],
    });
    return { ...plain, own: players.map((player) => ownWorkFor(plainBook, plain, player, step.id)) };
  }),
);

/** "45 s", "2:30 min", "2 min", "-3 s" as seconds; a plain number as itself. */
function read(value: string): number {
  const clock = /^(-?)(\d+)(?::(\d\d))? min$/.exec(value);
  if (!clock) return parseFloat(value.replace(/,/g, ''));
  const [, minus, minutes, seconds] = clock;
  return (minus ? -1 : 1) * (60 * Number(minutes) + Number(seconds ?? 0));
}
const of = ({ inputs }: Explanation, label: RegExp): number[] =>
  inputs.filter((one) => label.test(one.label)).map((one) => read(one.value));
const sum = (numbers: readonly number[]) => numbers.reduce((all, one) => all + one, 0);

const timed = blocks.map((block) => {
  const plan = timePlan(plainBook, [block, { ...block, id: 'again' }], players, [], 60);
  return { block, plan, time: plan.blocks[0]! };
});

function partOf(block: PlanBlock, { id, age }: PlanPlayer): DosePart {
  const { drill, step, dose } = workOf(plainBook, block, id)!;
  const pace = paceOn(drill, step, { own: age, youngest: 5 }, undefined, block);
  const rate = rateOn(step, undefined);
  return {
    dose,
    pace,
    time: doseTime(dose, pace),
    who: id,
    rate,
    origins: { touch: '', drop: '', setUp: '' },
  };
}

test('the time of a block is the sum of its parts', () => {
  const wrong = timed.flatMap(({ block, time }) => {
    const slowest = players.find((player) => player.id === time.slowestId)!;
    const explained = explainBlockTime({ ...partOf(block, slowest), time });
    const inTurns = of(explained, /turns at the station/);
    const parts = [
      ...of(explained, /^(Set out and brief|Show it|Drink|Changeover|Parts of a second, together)$/),
      ...(inTurns.length > 0 ? inTurns : of(explained, /^(Work|Rest|Collecting balls)$/)),
    ];
    return sum(parts) === read(explained.value)
      ? []
      : [`${block.id}: ${parts.join(' + ')} is not ${explained.value}`];
  });
  expect(wrong).toEqual([]);
});

test('the touches of a block are what its inputs give', () => {
  const wrong = timed.flatMap(({ block, time }) =>
    players.flatMap((player) => {
      const explained = explainBlockTouches(
        partOf(block, player),
        time.touchesOf[player.id]!,
        time.workOf[player.id],
      );
      const [rate = NaN] = of(explained, /^Success rate$/);
      const [tries] = of(explained, /^Tries$/);
      const [workS = NaN] = of(explained, /^Work time$/);
      const [tryS = NaN] = of(explained, /^Time of one try/);
      const touches = (tries ?? workS / tryS) * (rate / 100);
      // The rate is shown as a whole per cent, the time of a try to a hundredth of a second.
      const give = 0.5 + touches * (0.005 / (rate / 100) + (tries === undefined ? 0.005 / tryS : 0));
      const off = Math.abs(touches - read(explained.value));
      return off <= give ? [] : [`${block.id}, ${player.id}: ${touches} is not ${explained.value}`];
    }),
  );
  expect(wrong).toEqual([]);
});

test('a plan is the sum of its blocks, in time and in touches, to the last second and touch', () => {
  const wrong = timed.flatMap(({ block, plan }) => {
    const total = explainPlanTotal(plan, ['one', 'two']);
    const room = sum(of(total, /^Booked$/)) - sum(of(total, /^\d+\. /));
    const shown = read(total.value) - sum(of(total, /^Parts of a second/));
    const touches = players.flatMap(({ id }) => {
      const explained = explainPlanTouches(plan, ['one', 'two'], id, id);
      return sum(explained.inputs.map((one) => read(one.value))) === read(explained.value) ? [] : [id];
    });
    return Math.abs(room) === shown && touches.length === 0
      ? []
      : [`${block.id}: ${room} against ${shown} ${touches}`];
  });
  expect(wrong).toEqual([]);
});
