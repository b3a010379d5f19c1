import { demonstrationsFor } from './demonstrations';
import type { Origin } from '../base/origin';
import { beltShare, bodyShare } from './body';
import { heightOf, type HeightEstimate } from './growth';
import { inchesToMetres, racketFor } from './racket';

/** The numbers a drill is set up with for one child. */
export const fitKeys = [
  'racketIn',
  'beltM',
  'bandM',
  'hoopM',
  'softTossM',
  'strideM',
  'sideStepM',
  'reachM',
  'contactM',
  'targetM',
  'demonstrations',
] as const;
export type FitKey = (typeof fitKeys)[number];

/** One fitted number: the suggestion with its range, and what the coach made of it. */
export interface Fitted {
  readonly key: FitKey;
  readonly label: string;
  readonly unit: 'in' | 'm' | 'times';
  /** What counts: the coach's own number where there is one. */
  readonly value: number;
  readonly suggested: number;
  readonly low: number;
  readonly high: number;
  readonly overruled: boolean;
  readonly origin: Origin;
  /** The formula in words. */
  readonly how: string;
}

/** What the fit knows of a child. */
export interface Child {
  readonly age: number;
  readonly sport: 'tennis' | 'table tennis';
  readonly heightCm: number | null;
  /** The racket they play with; null when unknown. */
  readonly racketIn: number | null;
}

export type FitOverrides = Partial<Readonly<Record<FitKey, number>>>;

/** What a coach may set: ours, wide enough for any child of 3 to 18. */
export const fitLimits: Readonly<Record<FitKey, { readonly min: number; readonly max: number }>> = {
  racketIn: { min: 17, max: 29 },
  beltM: { min: 0.4, max: 1.4 },
  bandM: { min: 0.2, max: 1.1 },
  hoopM: { min: 1.2, max: 4.5 },
  softTossM: { min: 1, max: 4.5 },
  strideM: { min: 0.2, max: 1.2 },
  sideStepM: { min: 0.2, max: 1.2 },
  reachM: { min: 1, max: 2.8 },
  contactM: { min: 0.2, max: 1.6 },
  targetM: { min: 1, max: 8 },
  demonstrations: { min: 1, max: 6 },
};

interface Range {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}
interface Rule {
  readonly label: string;
  readonly unit: Fitted['unit'];
  readonly origin: Origin;
  readonly how: string;
  readonly of: (child: Child, height: HeightEstimate) => Range;
}

/** A share of the height, with the spread of the height and of the share itself. */
const share = (low: number, value: number, high: number) => (_: Child, height: HeightEstimate) => ({
  value: value * height.valueM,
  low: low * height.lowM,
  high: high * height.highM,
});
const above = (low: number, value: number, high: number) => (_: Child, height: HeightEstimate) => ({
  value: height.valueM + value,
  low: height.lowM + low,
  high: height.highM + high,
});

/** From the hand to the middle of the strings: the racket less the grip and half the head, metres. Ours. */
const racketReachM = (racketIn: number): number => inchesToMetres(racketIn) - 0.22;

const rules: Readonly<Record<FitKey, Rule>> = {
  racketIn: {
    label: 'Racket length',
    unit: 'in',
    origin: 'practice',
    how: 'By standing height, light enough to swing without a droop; one size either way is usual.',
    of: ({ racketIn }, height) =>
      racketIn === null ? racketFor(height.valueM) : { ...racketFor(height.valueM), value: racketIn },
  },
  beltM: {
    label: 'Belt height',
    unit: 'm',
    origin: 'practice',
    how: 'Six tenths of the height.',
    of: share(beltShare - 0.02, beltShare, beltShare + 0.02),
  },
  bandM: {
    label: 'Band on the fence',
    unit: 'm',
    origin: 'memory',
    how: 'Halfway between knee (0.285 of the height) and hip (0.53): at hip height it teaches a wrong path. Shares by Drillis and Contini 1966.',
    of: share(bodyShare.knee, (bodyShare.knee + bodyShare.hip) / 2, bodyShare.hip),
  },
  hoopM: {
    label: 'Toss hoop',
    unit: 'm',
    origin: 'practice',
    how: 'About twice the child’s height.',
    of: share(1.9, 2, 2.1),
  },
  softTossM: {
    label: 'Soft-catch toss',
    unit: 'm',
    origin: 'practice',
    how: 'The height and 60 to 90 cm more, over the floor.',
    of: above(0.6, 0.75, 0.9),
  },
  strideM: {
    label: 'Step',
    unit: 'm',
    origin: 'memory',
    how: 'About 0.42 of the height in quick walking; gait handbooks give 0.40 to 0.45.',
    of: share(0.4, 0.42, 0.45),
  },
  sideStepM: {
    label: 'Side step',
    unit: 'm',
    origin: 'ours',
    how: 'About 0.35 of the height, feet never together.',
    of: share(0.3, 0.35, 0.4),
  },
  reachM: {
    label: 'Standing reach',
    unit: 'm',
    origin: 'memory',
    how: 'Shoulder height (0.818 of the height) and an arm (0.44) above it. Shares by Drillis and Contini 1966.',
    of: share(1.22, bodyShare.shoulder + bodyShare.arm, 1.3),
  },
  contactM: {
    label: 'Distance to the ball',
    unit: 'm',
    origin: 'ours',
    how: 'Three quarters of the arm, and the racket from the hand to the middle of the strings: room for the whole swing.',
    of: (child, height) => {
      const racketM =
        child.sport === 'tennis' ? racketReachM(child.racketIn ?? racketFor(height.valueM).value) : 0.1;
      const at = (m: number) => 0.75 * bodyShare.arm * m + racketM;
      return { value: at(height.valueM), low: at(height.lowM) * 0.85, high: at(height.highM) * 1.15 };
    },
  },
  targetM: {
    label: 'Target distance',
    unit: 'm',
    origin: 'practice',
    how: 'Two metres for the smallest, three from thirteen on.',
    of: ({ age }) => {
      const value = 2 + Math.min(1, Math.max(0, (age - 5) / 8));
      return { value, low: 2, high: 3 };
    },
  },
  demonstrations: {
    label: 'Demonstrations',
    unit: 'times',
    origin: 'ours',
    how: 'Three for children up to nine, who learn by looking; two for the older ones.',
    of: ({ age }) => ({ value: demonstrationsFor(age), low: 2, high: 4 }),
  },
};

const rounded = (value: number, unit: Fitted['unit']): number =>
  unit === 'times' ? Math.round(value) : Math.round(value * 100) / 100;

/** Every fitted number of a child, the coach's own ones put over the suggestions. */
export function fitOf(child: Child, overrides: FitOverrides = {}): Readonly<Record<FitKey, Fitted>> {
  const height = heightOf(child.age, child.heightCm);
  const entries = fitKeys.map((key) => {
    const { label, unit, origin, how, of } = rules[key];
    const range = of(child, height);
    const suggested = rounded(range.value, unit);
    const own = overrides[key];
    const fitted: Fitted = {
      key,
      label,
      unit,
      suggested,
      value: own ?? suggested,
      low: rounded(range.low, unit),
      high: rounded(range.high, unit),
      overruled: own !== undefined,
      origin,
      how,
    };
    return [key, fitted] as const;
  });
  return Object.fromEntries(entries) as Record<FitKey, Fitted>;
}
