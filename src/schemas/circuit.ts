import { array, number, object, string } from 'yup';
import { idOf } from './ids';
import { circuitLimits, rotationOrders } from '@/core/plan/circuit/circuit';

const within = (name: string, unit: string, { min, max }: { min: number; max: number }) =>
  number()
    .typeError(`${name} must be a number.`)
    .required(`${name} is missing.`)
    .integer(`${name} must be whole${unit}.`)
    .min(min, `${name} must be from ${min} to ${max}${unit}.`)
    .max(max, `${name} must be from ${min} to ${max}${unit}.`);

const { stations, stationS, changeS, times } = circuitLimits;

/** A block's part in a circuit. Its number among the stations is worked out from the plan, whatever is sent. */
export const circuitSchema = object({
  id: idOf('The circuit'),
  at: within('The number of a station', '', { min: 0, max: stations.max - 1 }),
  of: within('Stations of a circuit', '', stations),
  stationS: within('Time at a station', ' seconds', stationS),
  changeS: within('Time to walk on', ' seconds', changeS),
  times: within('Times round', '', times),
  order: string()
    .oneOf(rotationOrders, `The order must be one of: ${rotationOrders.join(', ')}.`)
    .required('The order is missing.'),
  helper: string().trim().max(60, 'Who helps at a station: use at most 60 letters.').default(''),
  groups: array()
    .of(
      array()
        .of(idOf('A player in a group'))
        .required('A group is missing: reload the page.')
        .max(12, 'A group: at most 12 players.'),
    )
    .required('Groups is missing.')
    .max(stations.max + 1, `Groups: at most ${stations.max + 1} in a circuit.`)
    .test(
      'once',
      'Groups: a player is in two groups of a circuit; put them into one.',
      (groups) => new Set(groups?.flat()).size === (groups?.flat().length ?? 0),
    ),
})
  .nullable()
  .default(null);
