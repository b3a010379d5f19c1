import {
  mixed,
  number,
  object,
  string,
  ValidationError,
  type InferType,
  type NumberSchema,
  type Schema,
} from 'yup';
import { ballKinds } from '@/core/ballistics/balls';
import { feederLimits } from '@/core/ballistics/feed/feeder';
import { shots, wallLimits } from '@/core/ballistics/wall/setup';
import type { BlockSetting } from '@/core/calculators/setting';
import { misshapenIn } from './bounds';
import { sequenceSetting } from './sequence';

const amount = (name: string, unit: string, min: number, max: number) =>
  number()
    .typeError(`${name} must be a number.`)
    .required(`${name} is missing.`)
    .min(min, `${name} must be from ${min} to ${max}${unit}.`)
    .max(max, `${name} must be from ${min} to ${max}${unit}.`);

const ball = string()
  .oneOf(ballKinds, `Ball must be one of ${ballKinds.join(', ')}.`)
  .required('Ball is missing: choose one.');

const { distanceM, targetM } = wallLimits;

/** A rally against a wall, as a bench writes it into a block. */
const wallSetting = object({
  kind: string().oneOf(['wall']).required(),
  shot: string()
    .oneOf(shots, `Shot must be one of ${shots.join(', ')}.`)
    .required('Shot is missing: choose one.'),
  ball,
  distanceM: amount('Distance from the wall', ' m', distanceM.min, distanceM.max),
  markM: amount('Mark on the wall', ' m', targetM.min, targetM.max),
  bandFromM: amount('Band on the wall, from', ' m', 0, 12),
  bandToM: amount('Band on the wall, to', ' m', 0, 12),
  hitsPerMin: amount('Hits a minute', '', 5, 300),
  spinRps: number()
    .typeError('Spin must be a number.')
    .min(wallLimits.spinRps.min, `Spin must be from ${wallLimits.spinRps.min} to ${wallLimits.spinRps.max}.`)
    .max(wallLimits.spinRps.max, `Spin must be from ${wallLimits.spinRps.min} to ${wallLimits.spinRps.max}.`),
});

const dial = (name: string, unit: string, key: keyof typeof feederLimits): NumberSchema<number> =>
  amount(name, unit, feederLimits[key].min, feederLimits[key].max);

/** The dials of the feeder machine. */
export const feederDials = {
  ball,
  speedMps: dial('Speed', ' m/s', 'speedMps'),
  elevationDeg: dial('Elevation', '°', 'elevationDeg'),
  spinPerMin: dial('Spin', ' turns a minute', 'spinPerMin'),
  sideDeg: dial('Side', '°', 'sideDeg'),
  intervalS: dial('Interval', ' s', 'intervalS'),
  scatterPercent: dial('Scatter of the speed', ' %', 'scatterPercent'),
  scatterDeg: dial('Scatter of the direction', '°', 'scatterDeg'),
};

const feederSetting = object({
  kind: string().oneOf(['feeder']).required(),
  name: string().trim().default('').max(60, 'Name is too long: use at most 60 letters.'),
  machine: object(feederDials).required('The dials of the feeder are missing.'),
  apexS: amount('Time to the top', ' s', 0, 12),
  bounceS: amount('Time to the bounce', ' s', 0, 12).nullable().default(null),
  contactS: amount('Time to the player', ' s', 0, 24),
});

const schemas: Readonly<Record<string, Schema>> = {
  wall: wallSetting,
  feeder: feederSetting,
  sequence: sequenceSetting,
};
const schemaOf = (value: unknown): Schema => {
  const kind = (value as { kind?: unknown } | null)?.kind;
  return (typeof kind === 'string' && Object.hasOwn(schemas, kind) && schemas[kind]) || wallSetting;
};

/** How a block is set out, or null: checked whole by the schema of its kind, and cut down to its fields. */
export const settingSchema = mixed<BlockSetting>()
  .nullable()
  .default(null)
  .transform((value: unknown) => {
    const schema = schemaOf(value);
    return value && !misshapenIn(schema, value) && schema.isValidSync(value)
      ? (schema.cast(value, { stripUnknown: true }) as BlockSetting)
      : value;
  })
  .test('setting', (value, context) => {
    if (value === null || value === undefined) return true;
    const misshapen = misshapenIn(schemaOf(value), value);
    if (misshapen)
      return context.createError({ path: `${context.path}.${misshapen.field}`, message: misshapen.message });
    try {
      schemaOf(value).validateSync(value);
      return true;
    } catch (error) {
      if (!(error instanceof ValidationError)) throw error;
      const at = error.path ? `${context.path}.${error.path}` : context.path;
      return context.createError({ path: at, message: error.message });
    }
  });

/** The same on its own, as a value that is checked whole. */
export const settingForm = object({ setting: settingSchema });

/** Where the feeder machine stands. */
const feederPlace = object({
  mouthM: amount('Height of the mouth', ' m', 0.2, 3),
  playerM: amount('Way to the player', ' m', 1, 30),
  court: string()
    .oneOf(['none', 'full', 'orange', 'red', 'table'], 'Court must be one on the list.')
    .required(),
});

/** Settings of the feeder, kept by name with the drill they are for. */
export const feederSchema = object({
  name: string()
    .trim()
    .required('Name is empty: call it something, such as Deep to the backhand.')
    .max(60, 'Name is too long: use at most 60 letters.'),
  drillId: string().required('Drill is missing: choose what it is for.'),
  settings: object({
    machine: object(feederDials).required('The dials are missing.'),
    place: feederPlace.required('Where it stands is missing.'),
  }).required('Settings are missing.'),
});
export type FeederForm = InferType<typeof feederSchema>;
