import { g } from '../../base/gravity';
import { balls } from '../balls';
import type { PathPoint } from '../fly';
import { radians } from '../motion';
import { bouncesBack, groundOf, hitFromM, numbersOf, type WallNumbers, type WallSetup } from './setup';
import { Trials, type From, type Trial } from './trial';

/** A hit that keeps the rally going: it comes back to where it was made. */
export interface WallSolution extends Trial {
  readonly speedMps: number;
  /** Upwards from the level, radians. */
  readonly elevation: number;
  /** Seconds from hit to hit, and hits a minute. */
  readonly cycleS: number;
  readonly hitsPerMin: number;
}

/** What stands in the way of a rally. */
export type WallLimit = 'too low' | 'too fast' | 'ceiling' | 'wall top' | 'table' | 'no way';

export type WallAnswer =
  | { readonly ok: true; readonly solution: WallSolution }
  | {
      readonly ok: false;
      readonly limit: WallLimit;
      /** The number that breaks it: highest bounce where it is met, speed needed, or top of the flight. */
      readonly reachedM: number | null;
    };

/** Steepest hit up or down, degrees: beyond it nobody rallies. */
const steepest = 78;
const tries = 40;
/** Hits far beyond any child are followed too, so that a limit can be named. */
const fastestMps = 60;

interface Tried extends Trial {
  /** What was varied to find it: the angle, or in a smash the speed. */
  readonly dial: number;
  readonly speedMps: number;
  readonly elevation: number;
}

/** Follows the one hit at a setting of the dial that meets the target; null where there is none. */
type TryAt = (dial: number, guess?: Tried) => Tried | null;

/**
 * The hit that meets the target on the wall and comes back to the hand as its shot asks.
 *
 * For every angle there is one speed that meets the target (in a smash, for every speed one angle); along these hits the
 * height at which the ball comes back to where the player stands rises and falls. Where it passes the contact height, a
 * rally goes on. Exact for the equations of {@link Trials}; with the nominal numbers unless others are given.
 * @param from where the hit is made; the place it is met when left out
 */
export function solveWall(
  setup: WallSetup,
  numbers: WallNumbers = numbersOf(setup),
  from?: From,
): WallAnswer {
  const trials = new Trials(setup, numbers, from);
  const start = from ?? { distanceM: setup.distanceM, heightM: hitFromM(setup) };
  const wanted = bouncesBack(setup.shot) ? 'after one bounce' : 'in the air';
  const follow = (dial: number, speedMps: number | null, elevation: number | null): Tried | null =>
    speedMps === null || elevation === null
      ? null
      : { dial, speedMps, elevation, ...trials.follow(speedMps, elevation) };
  const tryAt: TryAt =
    setup.shot === 'floor first'
      ? (speed) => follow(speed, speed, smashAngle(trials, setup, start, speed))
      : (angle, guess) => follow(angle, speedFor(trials, setup, start, angle, guess?.speedMps), angle);
  /** How far above the hand it comes; far below when it does not come as it should. */
  const above = (one: Tried | null) => (one?.came === wanted ? one.heightM - setup.contactM : -9);

  const all = dials(setup, start).map((dial) => tryAt(dial));
  const found: Tried[] = [];
  for (let k = 0; k + 1 < all.length; k++) {
    const [a, b] = [all[k]!, all[k + 1]!];
    if (!a || !b || above(a) >= 0 === above(b) >= 0) continue;
    const root = between(a, b, above, tryAt);
    if (root) found.push(root);
  }
  const good = found.filter((one) => limitOf(setup, one) === null);
  const best = choose(setup, good);
  if (best) return { ok: true, solution: solved(best) };
  return refusal(setup, found, all, wanted);
}

const solved = ({ dial: _dial, ...one }: Tried): WallSolution => {
  const cycleS = one.outS + one.backS;
  return { ...one, cycleS, hitsPerMin: 60 / cycleS };
};

/** On the rise or on the fall as asked; the other where there is only that. The gentlest hit of several. */
function choose(setup: WallSetup, found: readonly Tried[]): Tried | undefined {
  const rising = setup.meet === 'rising';
  const asAsked = found.filter((one) => one.risingMps > 0 === rising);
  const list = asAsked.length > 0 ? asAsked : found;
  return [...list].sort((a, b) => a.speedMps - b.speedMps)[0];
}

function dials(setup: WallSetup, { distanceM, heightM }: From): number[] {
  const spread = (from: number, to: number) =>
    Array.from({ length: tries }, (_, k) => from + ((to - from) * k) / (tries - 1));
  if (setup.shot === 'floor first') return spread(4, fastestMps / 2);
  const straight = Math.atan((setup.targetM - heightM) / distanceM) + radians(0.4);
  // What is hit down goes down.
  return spread(straight, setup.shot === 'down' ? Math.max(straight, 0) : radians(steepest));
}

/** The speed at which a hit of this angle meets the target; null when none does. */
function speedFor(
  trials: Trials,
  { targetM }: WallSetup,
  { distanceM, heightM }: From,
  elevation: number,
  guess?: number,
): number | null {
  const over = heightM + distanceM * Math.tan(elevation) - targetM;
  // Without drag the height at the wall falls straight with w = 1/v²; with it nearly so: the secant is there in a few steps.
  const vacuum = (2 * Math.cos(elevation) ** 2 * Math.max(over, 1e-6)) / (g * distanceM * distanceM);
  const [least, most] = [1 / (2 * fastestMps) ** 2, 4];
  let a = guess === undefined ? Math.max(least, 0.9 * vacuum) : 1 / (guess * guess);
  let missA = trials.wallHeight(1 / Math.sqrt(a), elevation) - targetM;
  let b = a * (missA < 0 ? 0.95 : 1.05);
  for (let round = 0; round < 12; round++) {
    const missB = trials.wallHeight(1 / Math.sqrt(b), elevation) - targetM;
    if (Number.isNaN(missB)) return null;
    if (Math.abs(missB) < 1e-7) return 1 / Math.sqrt(b);
    const next = b - (missB * (b - a)) / (missB - missA);
    a = b;
    missA = missB;
    b = Math.min(most, Math.max(least, Number.isFinite(next) ? next : b));
  }
  return Math.abs(missA) < 1e-4 ? 1 / Math.sqrt(a) : null;
}

/** The angle of a smash of this speed: the steeper into the floor, the higher on the wall. Found by halving. */
function smashAngle(
  trials: Trials,
  { targetM }: WallSetup,
  { distanceM, heightM }: From,
  speedMps: number,
): number | null {
  /** Too low where it is too flat to touch the floor, and where it touches it and comes in low. */
  const miss = (elevation: number) => {
    const height = trials.wallHeight(speedMps, elevation);
    return Number.isNaN(height) ? -9 : height - targetM;
  };
  const step = radians(4);
  let low = -Math.atan(heightM / distanceM);
  let under = -9;
  let high = low;
  let over = under;
  // From the flat end: the first angle that is steep enough. Too steep, it dies on the way.
  while (over < 0) {
    low = high;
    under = over;
    high = low - step;
    if (high < -radians(80)) return null;
    over = miss(high);
  }
  for (let round = 0; round < 40; round++) {
    // False position where both ends are near, the middle where one is not, or every third time.
    const share = under > -5 && round % 3 !== 2 ? -under / (over - under) : 0.5;
    const next = low + share * (high - low);
    const off = miss(next);
    if (Math.abs(off) < 1e-6) return next;
    if (off < 0) {
      low = next;
      under = off;
    } else {
      high = next;
      over = off;
    }
  }
  return over < 1e-3 ? high : null;
}

/** Halves the stretch between two settings of the dial until the ball comes back to the hand, to a hundredth of a millimetre. */
function between(a: Tried, b: Tried, above: (one: Tried | null) => number, tryAt: TryAt): Tried | null {
  let [low, high] = above(a) < 0 ? [a, b] : [b, a];
  for (let round = 0; round < 50; round++) {
    // The straight line between the two where both are near; the middle where one does not come at all.
    const [under, over] = [above(low), above(high)];
    const share = under > -5 && round % 3 !== 2 ? -under / (over - under) : 0.5;
    const next = tryAt(low.dial + share * (high.dial - low.dial), high);
    if (!next) return null;
    const off = above(next);
    if (Math.abs(off) < 1e-5) return next;
    if (off < 0) low = next;
    else high = next;
    if (Math.abs(high.dial - low.dial) < 1e-12) break;
  }
  return Math.abs(above(high)) < 0.005 ? high : null;
}

/** From a ball's centre to its top, metres. */
const ballTopM = (setup: WallSetup): number => balls[setup.ball].diameterM.value / 2;

function limitOf(setup: WallSetup, one: Tried): WallLimit | null {
  if (one.speedMps > setup.topSpeedMps) return 'too fast';
  if (setup.ceilingM !== null && one.topM + ballTopM(setup) > setup.ceilingM) return 'ceiling';
  if (setup.targetM > setup.wallTopM) return 'wall top';
  return null;
}

/** Why nothing works: the limit that the best way breaks, or that the ball never comes up to the hand. */
function refusal(
  setup: WallSetup,
  found: readonly Tried[],
  all: readonly (Tried | null)[],
  wanted: Trial['came'],
): WallAnswer {
  const gentlest = choose(setup, found);
  if (gentlest) {
    const limit = limitOf(setup, gentlest)!;
    const reachedM = { 'too fast': gentlest.speedMps, ceiling: gentlest.topM, 'wall top': setup.targetM };
    return { ok: false, limit, reachedM: reachedM[limit as keyof typeof reachedM] ?? null };
  }
  const came = all.flatMap((one) => (one?.came === wanted ? [one.heightM] : []));
  if (came.length > 0) return { ok: false, limit: 'too low', reachedM: Math.max(...came) };
  return { ok: false, limit: groundOf(setup).levelM > 0 ? 'table' : 'no way', reachedM: null };
}

/** The way of a solution as points, to draw. */
export function wallPath(setup: WallSetup, { speedMps, elevation }: WallSolution): PathPoint[] {
  const path: PathPoint[] = [];
  new Trials(setup, numbersOf(setup)).follow(speedMps, elevation, path);
  return path;
}
