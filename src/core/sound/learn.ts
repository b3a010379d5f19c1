import type { Impact } from './impacts';
import type { SoundKind } from './kinds';

/** So many examples teach a sound: with fewer nobody knows how much they differ. Ours. */
export const examplesWanted = 5;

/** What examples of one sound have in common, in numbers anyone can read. */
export interface Learnt {
  /** Told apart from others by it: the kind, or the kind and a child or side. */
  readonly label: string;
  readonly kind: SoundKind;
  /** Square roots of the shares of energy by band, and the weighed logarithm of the decay. */
  readonly middle: readonly number[];
  /** How far examples usually lie from the middle, squared. */
  readonly spread: number;
  readonly levelDb: number;
  /** How much their levels differ, dB. */
  readonly levelSpreadDb: number;
  readonly examples: number;
}

/** What an impact is taken for. */
export interface Taken {
  /** What it fits best; null where it fits nothing that was taught. */
  readonly label: string | null;
  /** How sure it is to be that, 0 to 1; where it fits nothing, how sure it could still be the nearest. */
  readonly sure: number;
}

/* All ours, found on scenes of the stand-in that no bench or test uses. */

/** What an e-fold of decay weighs beside the bands. */
const decayWeight = 0.12;
/** Few examples are helped by what is usual: so many of them, of this spread. */
const usual = { examples: 4, spread: 0.03 } as const;
/** It fits up to so many spreads (squared) from the middle; so steeply it gets unsure. */
const fitsTo = { spreads: 6, steep: 0.9 } as const;
/** Levels so many dB and spreads from those taught are as expected; from there each so many dB count as one spread. */
const level = { freeDb: 3, spreads: 1.5, perDb: 1.5 } as const;

/** What is compared: the square roots of the shares (so that distances are Hellinger's), and the decay. */
function features({ bands, decayMs }: Impact): number[] {
  return [...bands.map(Math.sqrt), decayWeight * Math.log(Math.max(1, decayMs))];
}

function squareFar(a: readonly number[], b: readonly number[]): number {
  let sum = 0;
  for (let n = 0; n < a.length; n++) sum += (a[n]! - b[n]!) ** 2;
  return sum;
}

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, one) => sum + one, 0) / Math.max(1, values.length);

/**
 * Learns a sound from examples of it. One that is nothing like the others is left out (a step, a word between).
 * @returns null with fewer than {@link examplesWanted} that are alike
 */
export function learn(label: string, kind: SoundKind, examples: readonly Impact[]): Learnt | null {
  const alike = likeEachOther(loudOnes(examples));
  if (alike.length < examplesWanted) return null;
  const all = alike.map(features);
  const middle = middleOf(all);
  const n = all.length;
  // From the middle of the others: what is measured from its own middle seems nearer than it is.
  const own = meanOf(all.map((one) => squareFar(one, middle) * (n / (n - 1)) ** 2));
  const levels = alike.map((one) => one.levelDb);
  const levelDb = meanOf(levels);
  return {
    label,
    kind,
    middle,
    spread: (n * own + usual.examples * usual.spread) / (n + usual.examples),
    levelDb,
    levelSpreadDb: Math.sqrt(meanOf(levels.map((one) => (one - levelDb) ** 2))),
    examples: n,
  };
}

function middleOf(all: readonly (readonly number[])[]): number[] {
  return all[0]!.map((_, at) => meanOf(all.map((one) => one[at]!)));
}

/** An example is at most so much softer than the usual loud one, dB: what is softer is an echo or another bounce. Ours. */
const softerDb = 7;

function loudOnes(examples: readonly Impact[]): Impact[] {
  const levels = examples.map((one) => one.levelDb).sort((a, b) => b - a);
  const loud = levels[Math.min(levels.length - 1, Math.floor(examplesWanted / 2))] ?? 0;
  return examples.filter((one) => one.levelDb > loud - softerDb);
}

/** Takes off, one by one, what lies more than three times as far from the others as they usually do. */
function likeEachOther(examples: readonly Impact[]): Impact[] {
  let left = [...examples];
  while (left.length > examplesWanted) {
    const all = left.map(features);
    const far = all.map((one) => squareFar(one, middleOf(all.filter((other) => other !== one))));
    const worst = far.indexOf(Math.max(...far));
    const others = far.filter((_, at) => at !== worst);
    if (far[worst]! <= 9 * Math.max(usual.spread / 2, meanOf(others))) break;
    left = left.filter((_, at) => at !== worst);
  }
  return left;
}

/** How far an impact is from what was learnt, in spreads (squared): its sound, and a level nobody expects. */
export function farFrom(learnt: Learnt, impact: Impact): number {
  const sound = squareFar(features(impact), learnt.middle) / learnt.spread;
  const free = level.freeDb + level.spreads * learnt.levelSpreadDb;
  const off = Math.max(0, Math.abs(impact.levelDb - learnt.levelDb) - free) / level.perDb;
  return sound + off * off;
}

/** The same sound as loud as it may be: where loudness is what is asked. */
export const anyLoudness = (learnt: Learnt): Learnt => ({ ...learnt, levelSpreadDb: Infinity });

/** What an impact is taken for, among what was learnt. */
export function takenFor(learnt: readonly Learnt[], impact: Impact): Taken {
  if (learnt.length === 0) return { label: null, sure: 0 };
  const far = learnt.map((one) => farFrom(one, impact));
  const best = far.indexOf(Math.min(...far));
  // As of normal errors: a spread farther is less likely by e to the half; the evidence of bands is not independent.
  const weights = far.map((one) => Math.exp(-(one - far[best]!) / 2));
  const share = 1 / weights.reduce((sum, one) => sum + one, 0);
  const fits = 1 / (1 + Math.exp(fitsTo.steep * (far[best]! - fitsTo.spreads)));
  const { label } = learnt[best]!;
  return { label: fits < 0.5 ? null : label, sure: fits * share };
}

/** How often one that was learnt would be taken for another, 0 to 1/2, reckoned from middles and spreads. */
export function mistaken(a: Learnt, b: Learnt): number {
  const apart = Math.sqrt(squareFar(a.middle, b.middle));
  const spread = Math.sqrt((a.spread + b.spread) / 2);
  // A spread is of all directions together; the way between two middles is one of them, where it is some half of that.
  // The logistic curve stands in for the tail of the normal one.
  return 1 / (1 + Math.exp((1.702 * apart) / spread));
}

/** Sounds that are taken for each other more often than this are not told apart. Ours. */
const mostMistaken = 0.05;

/** Pairs that cannot be told apart here. */
export function notToldApart(learnt: readonly Learnt[]): (readonly [Learnt, Learnt])[] {
  return learnt.flatMap((a, at) =>
    learnt.slice(at + 1).flatMap((b) => (mistaken(a, b) > mostMistaken ? [[a, b] as const] : [])),
  );
}
