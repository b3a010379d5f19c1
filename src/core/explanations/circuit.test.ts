import fc from 'fast-check';
import type { Dose } from '../dose/dose';
import { noLoad } from '../dose/load';
import type { BlockTime, PlannedBlock, StationTime } from '../plan/block-time';
import type { CircuitPart } from '../plan/circuit/circuit';
import { timeBlocks } from '../plan/plan-time';
import { percent } from '../base/words';
import { explainCircuitTime, explainSpread } from './circuit';

const dose: Dose = { kind: 'reps', sets: 1, reps: 10, sides: 1, restS: 0 };
const planOf = (
  stationS: number,
  changeS: number,
  times: number,
  setUpS: number,
  showS: number,
  breakS: number,
) => {
  const blocks = [0, 1, 2].map((at): PlannedBlock => {
    const circuit: CircuitPart = {
      id: 'c',
      at,
      of: 3,
      stationS,
      changeS,
      times,
      order: 'balanced',
      helper: '',
      groups: [['a'], ['b'], ['c']],
    };
    const pace = { perTouchS: 2, dropCostS: 0, successRate: 1, setUpS, showS, changeoverS: 15 };
    return {
      id: `s${at}`,
      holds: 4,
      helped: false,
      breakS,
      circuit,
      players: ['a', 'b', 'c'].map((playerId) => ({ playerId, dose, pace, load: noLoad })),
    };
  });
  const after: PlannedBlock = { ...blocks[0]!, id: 'after', circuit: undefined as never, breakS: 0 };
  return timeBlocks([...blocks, { ...after, circuit: null }], 3600).blocks[0] as BlockTime & {
    station: StationTime;
  };
};
/** "1:20 min" or "45 s" as seconds, with its sign. */
function secondsIn(text: string): number {
  const sign = /^[−-]/.test(text) ? -1 : 1;
  const minutes = /(\d+):(\d\d) min/.exec(text);
  if (minutes) return sign * (60 * Number(minutes[1]) + Number(minutes[2]));
  const whole = /(\d+) min/.exec(text);
  if (whole) return sign * 60 * Number(whole[1]);
  return sign * Number(/(\d+) s/.exec(text)![1]);
}

test('the time of a circuit is what its lines add up to, whatever its clock', () => {
  const seconds = fc.integer({ min: 0, max: 60 });
  fc.assert(
    fc.property(
      fc.integer({ min: 30, max: 300 }),
      seconds,
      fc.integer({ min: 1, max: 2 }),
      fc.double({ min: 1, max: 90, noNaN: true }),
      fc.double({ min: 1, max: 30, noNaN: true }),
      seconds,
      (stationS, changeS, times, setUpS, showS, breakS) => {
        const time = planOf(stationS, changeS, times, setUpS, showS, breakS);
        const { value, inputs } = explainCircuitTime(time);
        const sum = inputs
          .filter(({ label }) => label !== 'Stations')
          .reduce((all, one) => all + secondsIn(one.value), 0);
        expect(sum).toBe(secondsIn(value));
      },
    ),
    { numRuns: 60 },
  );
});

test('three stations of two minutes with half a minute to walk, by hand', () => {
  const { inputs, value } = explainCircuitTime(planOf(120, 30, 1, 40, 10, 60));
  expect(inputs.map(({ label, value: shown }) => [label, shown])).toEqual([
    ['Stations', '3'],
    ['Set out and brief', '2 min'],
    ['Show them', '30 s'],
    ['3 rounds', '6 min'],
    ['2 walks', '1 min'],
    ['Drink', '1 min'],
    ['Changeover', '15 s'],
  ]);
  // 120 + 30 + 360 + 60 + 60 + 15 seconds.
  expect(value).toBe('10:45 min');
});

test('how far apart: most less fewest, over the mean', () => {
  expect(explainSpread({ least: 40, most: 60, share: 0.4 })).toMatchObject({
    value: percent(0.4),
    inputs: [
      { label: 'Fewest', value: '40' },
      { label: 'Most', value: '60' },
    ],
  });
});
