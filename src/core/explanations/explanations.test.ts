import type { Dose } from '../dose/dose';
import { doseTime, type Pace } from '../dose/time';
import type { Explanation } from '../base/explain';
import { timeBlocks } from '../plan/plan-time';
import { noLoad } from '../dose/load';
import { successRate } from '../skill/success-rate';
import { explainBlockTime, explainBlockTouches } from './dose';
import { fitOf } from '../players/fit';
import { explainFit } from './fit';
import { explainPlanTotal, explainPlanTouches } from './plan';
import { explainBest, explainRate, explainTarget, explainTouches } from './results';

const dose = { kind: 'row', target: 10, capS: 600 } as const;
const rate = successRate({ touches: 80, drops: 20 }, 0.8);
const pace: Pace = {
  perTouchS: 2,
  dropCostS: 4,
  successRate: rate.value,
  setUpS: 30,
  showS: 0,
  changeoverS: 15,
};
const part = {
  dose,
  pace,
  time: doseTime(dose, pace),
  who: 'Ada',
  rate,
  origins: { touch: 'common practice', drop: 'ours', setUp: 'by hand' },
};
const players = [{ playerId: 'p', dose, pace, load: noLoad }];
const plan = timeBlocks([{ id: 'a', players, holds: 8, helped: false, breakS: 0 }], 60);
const block = { ...part, time: plan.blocks[0]! };
const input = (explanation: Explanation, label: string) =>
  explanation.inputs.find((one) => one.label === label);

/** What a reader makes of the inputs of explained touches, by the formula beside them. */
function touchesFrom(explanation: Explanation): number {
  const number = (label: string) => parseFloat(input(explanation, label)!.value);
  const share = number('Success rate') / 100;
  if (input(explanation, 'Tries')) return Math.round(number('Tries') * share);
  return Math.round((number('Work time') / number('Time of one try with its share of drops')) * share);
}

test('the touches of a row add up, also for whoever begins another while the slowest goes on', () => {
  const slow = { ...pace, successRate: 0.7 };
  const players = [
    { playerId: 'Ada', dose, pace, load: noLoad },
    { playerId: 'Bo', dose, pace: slow, load: noLoad },
  ];
  const [time] = timeBlocks([{ id: 'a', players, holds: 8, helped: false, breakS: 0 }], 60).blocks;
  const touches = explainBlockTouches(part, time!.touchesOf['Ada']!, time!.workOf['Ada']);
  expect(Number(touches.value)).toBe(touchesFrom(touches));
  expect(time!.workOf['Ada']).toBe(time!.workOf['Bo']);
});

test('what is put on a block changes the rate that is shown, as it changes the touches', () => {
  const harder = { ...part, pace: { ...pace, successRate: 0.5 } };
  const rateShown = input(explainBlockTouches(harder, 5), 'Success rate')!;
  expect(rateShown.value).toBe('50\u00a0%');
  expect(rateShown.from).toContain('80\u00a0% without what is put on the block');
});

test('the time of a block opens to parts that add up to it', () => {
  const explanation = explainBlockTime(block);
  expect(explanation.formula).toContain('(1/p^N − 1) / (1 − p)');
  expect(explanation.source).toContain('Feller');
  expect(input(explanation, 'Cost of a drop')?.from).toBe('ours');
  // In 600 s; with the 214 tries that fit in on average a Markov chain of eleven states worked beside gives 0.99763.
  expect(input(explanation, 'Chance to get there before the cap')).toMatchObject({
    value: 'over 99\u00a0%',
    from: 'within 600 s, drops and all',
  });
  expect(input(explanation, 'Expected tries')?.value).toBe('41.6');
  expect(input(explanation, 'Success rate')).toMatchObject({
    value: '80\u00a0%',
    from: expect.stringContaining('100 tries'),
  });
  const { setUpS, showS, activeS, changeoverS, breakS, totalS } = block.time;
  expect(setUpS + showS + activeS + changeoverS + breakS).toBeCloseTo(totalS, 9);
});

test('little data and no data are said', () => {
  const none = { ...part, rate: successRate({ touches: 0, drops: 0 }, 0.8) };
  expect(input(explainBlockTime({ ...block, rate: none.rate }), 'Success rate')?.from).toContain(
    'usual rate',
  );
  const little = { ...part, rate: successRate({ touches: 8, drops: 2 }, 0.8) };
  expect(input(explainBlockTouches(little, 5), 'Success rate')?.from).toContain('little data');
});

test('a plan opens to its blocks', () => {
  const over = explainPlanTotal(plan, ['Bounce']);
  expect(over.title).toBe('Over the booking');
  expect(input(over, '1. Bounce')?.value).toBe('2:26 min');
  expect(explainPlanTouches(plan, ['Bounce'], 'p', 'Ada').value).toBe('33');
});

test('results open to the attempts, drops and schools behind them', () => {
  expect(explainBest('row', 14, [9, 14, null]).inputs.map((one) => one.value)).toEqual([
    '9 in a row',
    '14 in a row',
    'no result',
  ]);
  expect(input(explainBest('row', 14, [14], 12), 'Best before')?.value).toBe('12 in a row');
  expect(input(explainTouches({ touches: 18, drops: 2 }, 'this block'), 'Success rate')).toMatchObject({
    value: '90\u00a0%',
    from: '95\u00a0% range 70\u00a0% to 97\u00a0%',
  });
  expect(explainTouches({ touches: 0, drops: 0 }, '').inputs).toHaveLength(2);
  const rate = explainRate({ ratePerMin: (12 * 60_000) / 12_080, gaps: 12, touchingMs: 12_080 });
  const shown = (label: string) => parseFloat(input(rate, label)!.value);
  expect(rate.value).toBe(
    `${Math.round((60 * shown('Gaps between touches')) / shown('Their time'))} a minute`,
  );
  const base = { target: 20, reason: 'Because.', wouldChange: 'A day.' };
  const all = (['row', 'clock', 'best', 'sweet'] as const).map(
    (school) => ({ ...base, school, verdict: school === 'row' ? 'up' : 'hold' }) as const,
  );
  const opened = explainTarget('row', { result: 20, days: 2 }, { byDefault: all[0]!, all, differ: null });
  expect(opened.value).toBe('up');
  expect(opened.inputs.map(({ label, value }) => `${label}: ${value}`)).toEqual([
    'The step’s mark: 20 in a row on 2 days',
    'In a row, on so many days (proposes): up',
    'Against the clock: stay',
    'Own best plus one: stay',
    'Sweet spot: stay',
  ]);
  expect(opened.inputs[4]!.from).toBe('Because. Would change its mind: a day.');
});

test('turns and a drink are opened too', () => {
  const group = ['p', 'q', 'r'].map((playerId) => ({ ...players[0]!, playerId }));
  const last = { id: 'b', players, holds: 8, helped: false, breakS: 0 };
  const turned = timeBlocks([{ id: 'a', players: group, holds: 2, helped: false, breakS: 60 }, last], 600);
  const explanation = explainBlockTime({ ...part, time: turned.blocks[0]! });
  expect(input(explanation, '2 turns at the station')?.value).toMatch(/min/);
  expect(input(explanation, 'Drink')?.value).toBe('1 min');
});

test('a fitted number says the height, its spread when it is guessed, and who overruled it', () => {
  const child = { age: 9, sport: 'tennis', heightCm: null, racketIn: null } as const;
  const guessed = explainFit(fitOf(child).hoopM, child);
  expect(input(guessed, 'Height')?.from).toContain('two in three from 1.26 to 1.39 m (WHO');
  const own = explainFit(fitOf(child, { hoopM: 2.4 }).hoopM, child);
  expect(own.value).toBe('2.4 m');
  expect(input(own, 'The coach’s own')?.value).toBe('2.4 m');
  expect(input(explainFit(fitOf(child).hoopM, { ...child, heightCm: 134 }), 'Height')?.from).toBe(
    'as measured',
  );
});

test.each<[Dose, string, string]>([
  [{ kind: 'reps', sets: 2, reps: 5, sides: 1, restS: 10 }, 'sets × sides × reps', '2 × 5 reps'],
  [{ kind: 'timed', rounds: 2, workS: 20, restS: 10 }, 'rounds × work', '2 × 20 s, 10 s rest'],
  [{ kind: 'hold', holds: 2, holdS: 10, sides: 2, restS: 5 }, 'holds × sides', '2 × 10 s hold each side'],
  [
    { kind: 'shots', shots: 10, ballsAtHand: 5, collectS: 20 },
    'collecting walk',
    '10 shots, 5 balls at hand',
  ],
  [{ kind: 'course', rounds: 2, laps: 1, restS: 10 }, 'rounds × laps', '2 × 1 lap, direction changes'],
  [{ kind: 'growing', lines: 2, to: 6, restS: 10 }, 'n(n + 1)/2', '1 to 6 on 2 lines'],
  [
    { kind: 'routine', rounds: 1, changeS: 3, parts: [{ name: 'Reach', partS: 10, sides: 2 }] },
    'all parts on all their sides',
    '1 part',
  ],
])('the time of %j opens to its own formula', (given, formula, words) => {
  const one = timeBlocks(
    [
      {
        id: 'a',
        players: [{ playerId: 'p', dose: given, pace, load: noLoad }],
        holds: 1,
        helped: false,
        breakS: 0,
      },
    ],
    600,
  );
  const explanation = explainBlockTime({ ...part, dose: given, time: one.blocks[0]! });
  expect(explanation.formula).toContain(formula);
  expect(input(explanation, 'Dose')?.value).toBe(words);
  const time = one.blocks[0]!;
  const own = { ...part, dose: given, time: doseTime(given, pace) };
  const touches = explainBlockTouches(own, time.touchesOf['p']!, time.workOf['p']);
  expect(touches.formula).toContain(given.kind === 'timed' ? 'Work time' : 'Tries × success rate');
  expect(Number(touches.value)).toBe(touchesFrom(touches));
});
