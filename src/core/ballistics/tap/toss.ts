import { g } from '../../base/gravity';
import { beltShare } from '../../players/body';
import { ballNumbers, balls, type BallKind } from '../balls';
import { fall, rise } from '../drop';
import { ballEnds, spreadOver, type BallInstead } from '../spread-over';

/** A toss straight up, caught where it left the hand. */
export interface Toss {
  readonly heightM: number;
  readonly airS: number;
  readonly throwMps: number;
  readonly catchMps: number;
}

/** A toss of a height over the hand, with drag. */
export function toss(ball: BallKind, heightM: number, instead: BallInstead = {}): Toss {
  const { dragPerM } = ballNumbers(balls[ball], instead);
  const up = rise(heightM, dragPerM);
  const down = fall(heightM, dragPerM);
  return { heightM, airS: up.seconds + down.seconds, throwMps: up.speedMps, catchMps: down.speedMps };
}

/** Claps a second of a child who claps as fast as they can: ours, by age. */
export function clapRate(age: number): number {
  return Math.min(5.5, Math.max(2.5, 2.5 + 0.3 * (age - 5)));
}

/** Seconds that claps take: one beat each and one to get the hands ready. */
export const clapsS = (claps: number, clapsPerS: number): number => (claps + 1) / clapsPerS;

/** The toss that gives time for so many claps, with drag. @param clapsPerS claps a second */
export function tossForClaps(ball: BallKind, claps: number, clapsPerS: number): Toss {
  return tossForTime(ball, clapsS(claps, clapsPerS));
}

/** The toss that is in the air so long. @param airS 0.05 to 5 s */
export function tossForTime(ball: BallKind, airS: number, instead: BallInstead = {}): Toss {
  let [low, high] = [1e-4, 40];
  for (let round = 0; round < 60; round++) {
    const middle = (low + high) / 2;
    if (toss(ball, middle, instead).airS < airS) low = middle;
    else high = middle;
  }
  return toss(ball, low, instead);
}

/** How far the height of a toss for a time may be off, metres: the ranges of the ball. */
export function tossSpreadM(ball: BallKind, airS: number): number {
  const heightM = (instead?: BallInstead) => ({ heightM: tossForTime(ball, airS, instead).heightM });
  return spreadOver(heightM(), ballEnds(ball), heightM).spread.heightM;
}

/** The hand at waist height, metres. */
export const handM = (bodyM: number): number => beltShare * bodyM;

/** A throw through a hoop over the child and back down to the hand. */
export interface HoopToss extends Toss {
  readonly hoopM: number;
  /** Metres it passes over the hoop. */
  readonly overM: number;
  /** Seconds to the hoop on the way up, and to it again on the way down. */
  readonly upS: number;
  readonly downS: number;
}

/** A toss that goes a ball and a half over a hoop. @param hoopM over the floor; @param handM over the floor, below it */
export function hoopToss(ball: BallKind, hoopM: number, fromM: number): HoopToss {
  const { dragPerM, radiusM } = ballNumbers(balls[ball]);
  const overM = 3 * radiusM;
  const whole = toss(ball, Math.max(0.05, hoopM - fromM + overM));
  const rest = fall(overM, dragPerM).seconds;
  const last = rise(overM, dragPerM).seconds;
  const up = rise(whole.heightM, dragPerM).seconds;
  return { ...whole, hoopM, overM, upS: up - last, downS: up + rest };
}

/** A catch that takes the speed out of a ball over a stretch of the hand. */
export interface SoftCatch {
  /** From the top of the toss to where slowing begins, metres. */
  readonly fallM: number;
  readonly catchMps: number;
  readonly stopM: number;
  /** Slowing, in units of gravity; the hand holds the weight on top. */
  readonly stopG: number;
  /** Seconds the hand sinks with the ball. */
  readonly stopS: number;
  /** Push on the hand, newtons, weight and all. */
  readonly pushN: number;
  /** The hand is level with the ball and as fast when they meet: what makes no sound. */
  readonly handMps: number;
  /** Clear height the toss needs over the floor, metres. */
  readonly ceilingM: number;
}

/**
 * A soft catch: the ball falls from the top of the toss to where slowing begins, and is slowed evenly until the waist.
 * Fall = over the head + head to waist − slowing distance. Work of the slowing: v² / 2d (any textbook).
 * @param overHeadM top of the toss over the head, metres
 * @param stopM slowing distance, metres, 0.02 to 1
 */
export function softCatch(
  ball: BallKind,
  bodyM: number,
  overHeadM: number,
  stopM: number,
  instead: BallInstead = {},
): SoftCatch {
  const numbers = ballNumbers(balls[ball], instead);
  const fallM = Math.max(0.01, overHeadM + bodyM - handM(bodyM) - stopM);
  const catchMps = fall(fallM, numbers.dragPerM).speedMps;
  const stop = (catchMps * catchMps) / (2 * stopM);
  return {
    fallM,
    catchMps,
    stopM,
    stopG: stop / g,
    stopS: (2 * stopM) / catchMps,
    pushN: (instead.massKg ?? balls[ball].massKg.value) * (stop + g),
    handMps: catchMps,
    ceilingM: bodyM + overHeadM + numbers.radiusM,
  };
}

/** How far the numbers of a soft catch may be off: the ranges of the ball. */
export function catchSpread(
  ball: BallKind,
  bodyM: number,
  overHeadM: number,
  stopM: number,
): Readonly<Record<'catchMps' | 'stopG' | 'pushN', number>> {
  const shown = (instead?: BallInstead) => {
    const { catchMps, stopG, pushN } = softCatch(ball, bodyM, overHeadM, stopM, instead);
    return { catchMps, stopG, pushN };
  };
  return spreadOver(shown(), ballEnds(ball), shown).spread;
}
