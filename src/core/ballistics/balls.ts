import { range, type Range } from './range';

export const ballKinds = [
  'yellow',
  'green',
  'orange',
  'red',
  'red foam',
  'indoor foam',
  'table tennis',
] as const;
export type BallKind = (typeof ballKinds)[number];

/** A ball as the equations know it. */
export interface Ball {
  readonly kind: BallKind;
  readonly label: string;
  readonly massKg: Range;
  readonly diameterM: Range;
  /** Normal restitution on a hard flat base, from the rebound of a drop. */
  readonly restitution: Range;
  readonly dragCoefficient: Range;
  /** Moment of inertia over m r²: 2/3 for a thin shell, less for a thick one. */
  readonly inertia: number;
}

/** Density of air at 20 °C and 101.3 kPa, kg/m³ (any handbook). */
export const airDensity = 1.204;

const itf = 'International Tennis Federation, Rules of Tennis, appendix on the ball';
const ittf = 'International Table Tennis Federation, Laws of Table Tennis 2.3';
const drag = 'R. Cross and C. Lindsey, measurements of drag of tennis balls';

/** Rebound in cm from a drop of so many cm, as restitution: the square root of rebound over drop. */
const rebound = (low: number, high: number, fromCm: number, source: string): Range =>
  range(
    Math.sqrt(low / fromCm),
    Math.sqrt((low + high) / 2 / fromCm),
    Math.sqrt(high / fromCm),
    'memory',
    `${source}: rebound ${low} to ${high} cm from ${fromCm} cm`,
  );

interface Published {
  readonly label: string;
  /** Grams and centimetres: lowest, nominal, highest. */
  readonly massG: readonly [number, number, number];
  readonly diameterCm: readonly [number, number, number];
  readonly reboundCm: readonly [low: number, high: number];
}

function tennisBall(kind: BallKind, { label, massG, diameterCm, reboundCm }: Published): Ball {
  return {
    kind,
    label,
    massKg: range(massG[0] / 1000, massG[1] / 1000, massG[2] / 1000, 'memory', itf),
    diameterM: range(diameterCm[0] / 100, diameterCm[1] / 100, diameterCm[2] / 100, 'memory', itf),
    restitution: rebound(...reboundCm, 254, itf),
    dragCoefficient: range(0.5, 0.55, 0.6, 'memory', drag),
    // A thick rubber shell: R. Cross, measured between 0.5 and 0.6 (memory).
    inertia: 0.55,
  };
}

/** Every ball kind. Nominal values lie inside the published ranges. */
export const balls: Readonly<Record<BallKind, Ball>> = {
  yellow: tennisBall('yellow', {
    label: 'yellow ball',
    massG: [56, 57.7, 59.4],
    diameterCm: [6.54, 6.7, 6.86],
    reboundCm: [135, 147],
  }),
  green: tennisBall('green', {
    label: 'green ball',
    massG: [47, 49.3, 51.5],
    diameterCm: [6.3, 6.6, 6.86],
    reboundCm: [120, 135],
  }),
  orange: tennisBall('orange', {
    label: 'orange ball',
    massG: [36, 42, 46.9],
    diameterCm: [6, 6.5, 6.86],
    reboundCm: [105, 120],
  }),
  red: tennisBall('red', {
    label: 'red ball',
    massG: [36, 42, 49],
    diameterCm: [7, 7.5, 8],
    reboundCm: [90, 105],
  }),
  'red foam': tennisBall('red foam', {
    label: 'red foam ball',
    massG: [25, 33, 43],
    diameterCm: [8, 8.5, 9],
    reboundCm: [85, 105],
  }),
  'indoor foam': {
    kind: 'indoor foam',
    label: 'soft indoor foam ball',
    massKg: range(0.015, 0.022, 0.03, 'ours', 'uncoated foam: no published standard'),
    diameterM: range(0.07, 0.08, 0.09, 'ours', 'uncoated foam: no published standard'),
    restitution: range(0.45, 0.55, 0.64, 'ours', 'uncoated foam: drop yours and compare'),
    dragCoefficient: range(0.45, 0.52, 0.6, 'ours', 'between a smooth and a felt ball'),
    // Solid, so nearer to 2/5 than to a shell.
    inertia: 0.4,
  },
  'table tennis': {
    kind: 'table tennis',
    label: 'table tennis ball',
    massKg: range(0.00267, 0.0027, 0.00277, 'memory', ittf),
    diameterM: range(0.0395, 0.04, 0.0405, 'memory', ittf),
    restitution: range(
      Math.sqrt(22 / 30),
      Math.sqrt(23 / 30),
      Math.sqrt(25 / 30),
      'memory',
      `${ittf}: about 23 cm from a drop of 30 cm on the table`,
    ),
    dragCoefficient: range(0.4, 0.45, 0.5, 'memory', 'sports-physics literature, 0.4 to 0.5'),
    // A thin shell: exactly 2/3 (any textbook).
    inertia: 2 / 3,
  },
};

/** A ball with its nominal numbers, as the integrator and the bounce want them. */
export interface BallNumbers {
  readonly radiusM: number;
  /** Deceleration by drag over speed squared, 1/m: ½ ρ A C_d / m. */
  readonly dragPerM: number;
  /** The same for a lift coefficient of 1. */
  readonly liftPerM: number;
  readonly restitution: number;
  readonly inertia: number;
}

export const ballParameters = ['massKg', 'diameterM', 'restitution', 'dragCoefficient'] as const;
export type BallParameter = (typeof ballParameters)[number];

/** The numbers of a ball; those named in `instead` take the given value. */
export function ballNumbers(
  ball: Ball,
  instead: Partial<Readonly<Record<BallParameter, number>>> = {},
): BallNumbers {
  const of = (name: BallParameter) => instead[name] ?? ball[name].value;
  const radiusM = of('diameterM') / 2;
  const liftPerM = (airDensity * Math.PI * radiusM * radiusM) / (2 * of('massKg'));
  return {
    radiusM,
    dragPerM: liftPerM * of('dragCoefficient'),
    liftPerM,
    restitution: of('restitution'),
    inertia: ball.inertia,
  };
}

/** The ball a stage plays with; table tennis has one. */
export function ballOfStage(
  stage: 'red' | 'orange' | 'green' | 'yellow' | null,
  sport: 'tennis' | 'table tennis',
): BallKind {
  if (sport === 'table tennis') return 'table tennis';
  return stage ?? 'red';
}
