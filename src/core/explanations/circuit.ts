import type { Explanation } from '../base/explain';
import type { BlockTime, StationTime } from '../plan/block-time';
import type { Spread } from '../plan/circuit/circuit-time';
import { counted, inMinutes, percent } from '../base/words';
import { partsOfASecond } from './rounding';

/** Opens the time of a circuit: the same for all of its stations. */
export function explainCircuitTime(time: BlockTime & { readonly station: StationTime }): Explanation {
  const { rounds, stationS, changeS, of } = time.station;
  const walks = rounds - 1;
  return {
    title: 'Time of this circuit',
    value: inMinutes(time.totalS),
    formula:
      'Set-up and showing of every station + rounds × time at a station + a walk between any two rounds + changeover.',
    inputs: [
      { label: 'Stations', value: String(of), from: 'set up and shown one after the other' },
      { label: 'Set out and brief', value: inMinutes(time.setUpS) },
      { label: 'Show them', value: inMinutes(time.showS) },
      {
        label: counted(rounds, 'round'),
        value: inMinutes(rounds * stationS),
        from: `${inMinutes(stationS)} each`,
      },
      ...(walks > 0
        ? [
            {
              label: counted(walks, 'walk'),
              value: inMinutes(walks * changeS),
              from: `${inMinutes(changeS)} each`,
            },
          ]
        : []),
      ...(time.breakS > 0
        ? [{ label: 'Drink', value: inMinutes(time.breakS), from: 'set on this circuit' }]
        : []),
      { label: 'Changeover', value: inMinutes(time.changeoverS), from: 'none after the last block' },
      ...partsOfASecond(time.totalS, [
        ...[time.setUpS, time.showS, rounds * stationS, walks * changeS],
        ...[time.breakS, time.changeoverS],
      ]),
    ],
    source: 'Adding up. Stations are done at the same time, so they take the time of one.',
  };
}

/** Opens how far apart the touches of a circuit are. */
export function explainSpread({ least, most, share }: Spread): Explanation {
  return {
    title: 'How far apart',
    value: percent(share),
    formula: '(Most − fewest) ÷ mean of all children’s touches in this circuit.',
    inputs: [
      { label: 'Fewest', value: String(Math.round(least)) },
      { label: 'Most', value: String(Math.round(most)) },
    ],
    source: 'Our arithmetic. Children of different ages have doses of their own, so some spread is meant.',
  };
}
