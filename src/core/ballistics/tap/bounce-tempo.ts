import { ballNumbers, balls, type BallKind } from '../balls';
import { fall, heightOfThrow, rise } from '../drop';
import { ballEnds, spreadOver, type BallInstead } from '../spread-over';
import { faces, type FaceKind } from './faces';

/** A ball kept bouncing to one height on a racket face. */
export interface Tapping {
  readonly heightM: number;
  /** Seconds from touch to touch, and touches a minute. */
  readonly periodS: number;
  readonly touchesPerMin: number;
  /** Speeds when it comes down and when it goes up again, m/s. */
  readonly downMps: number;
  readonly upMps: number;
  /** Upward speed the face needs at the touch to keep the height, m/s: u = (v_up − e v_down)/(1 + e). */
  readonly faceMps: number;
  /** Height it would come up to from a face that is held still, metres. */
  readonly aloneM: number;
}

/** Bounces kept to a height, with drag. @param heightM over the face, 0.01 to 6 */
export function tapping(ball: BallKind, face: FaceKind, heightM: number, instead: TapInstead = {}): Tapping {
  const { dragPerM, restitution } = ballNumbers(balls[ball], instead);
  const e = Math.min(0.97, restitution * (instead.liveliness ?? faces[face].liveliness.value));
  const up = rise(heightM, dragPerM);
  const down = fall(heightM, dragPerM);
  const periodS = up.seconds + down.seconds;
  return {
    heightM,
    periodS,
    touchesPerMin: 60 / periodS,
    downMps: down.speedMps,
    upMps: up.speedMps,
    faceMps: (up.speedMps - e * down.speedMps) / (1 + e),
    aloneM: heightOfThrow(e * down.speedMps, dragPerM),
  };
}

/** One number of the ball or of the face in another's place. */
type TapInstead = BallInstead & { readonly liveliness?: number };

/** How far the numbers of a bounce may be off: the ranges of the ball and of the face. */
export function tappingSpread(
  ball: BallKind,
  face: FaceKind,
  heightM: number,
): Readonly<Record<'touchesPerMin' | 'faceMps' | 'aloneM', number>> {
  const shown = ({ touchesPerMin, faceMps, aloneM }: Tapping) => ({ touchesPerMin, faceMps, aloneM });
  const { low, high } = faces[face].liveliness;
  const pairs: (readonly [TapInstead, TapInstead])[] = [
    ...ballEnds(ball),
    [{ liveliness: low }, { liveliness: high }],
  ];
  return spreadOver(shown(tapping(ball, face, heightM)), pairs, (instead) =>
    shown(tapping(ball, face, heightM, instead)),
  ).spread;
}

/** The height that gives a tempo, metres, with drag. @param touchesPerMin touches a minute, > 0 */
export function heightForTempo(ball: BallKind, touchesPerMin: number): number {
  const { dragPerM } = ballNumbers(balls[ball]);
  const periodAt = (heightM: number) => rise(heightM, dragPerM).seconds + fall(heightM, dragPerM).seconds;
  let [low, high] = [1e-4, 30];
  for (let round = 0; round < 60; round++) {
    const middle = (low + high) / 2;
    if (periodAt(middle) * touchesPerMin < 60) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * Spread of height from spread of time: h grows with the square of the period, so a share of the time is twice that
 * share of the height. Without drag.
 * @param spreadS standard deviation of the times between touches, seconds
 */
export function heightSpreadM(heightM: number, periodS: number, spreadS: number): number {
  return (2 * heightM * spreadS) / periodS;
}

/** Tries before a ball that nobody moves lies nearly still: bounces over five centimetres. Shows how dead it is. */
export function bouncesAlone(ball: BallKind, face: FaceKind, heightM: number): number {
  let height = heightM;
  let bounces = 0;
  while (height > 0.05 && bounces < 99) {
    height = tapping(ball, face, height).aloneM;
    if (height > 0.05) bounces++;
  }
  return bounces;
}
