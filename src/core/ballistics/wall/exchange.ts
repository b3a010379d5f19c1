import { bounce } from '../bounce';
import { Flight, type Fineness } from '../flight';
import type { Motion } from '../motion';
import { bouncesBack, groundOf, type WallNumbers, type WallSetup } from './setup';
import type { Reach } from './reach';

const { abs } = Math;

/** Why a rally ends. */
export const rallyEnds = ['short', 'long', 'wide', 'twice bounced', 'too high'] as const;
export type RallyEnd = (typeof rallyEnds)[number];

/** Longest a ball is followed, seconds. */
const patienceS = 6;
const [X, Y, Z] = [0, 1, 2] as const;
const never = NaN;

/**
 * One exchange with the wall, as a player lives it: the hit goes out, comes back, and is met where it can be.
 * Made once and used again and again: nothing is allocated in {@link play}.
 *
 * - `short`: does not get to the wall (or, in a smash, to the floor before it)
 * - `too high`: over the wall's top, into the ceiling, or over the player's reach
 * - `wide`: beyond arm, racket and a step to the side
 * - `long`: flies past the player's reach before it has bounced
 * - `twice bounced`: down again before the player can get to it, or off the table
 */
export class Exchange {
  /** Where the ball was met, metres; and the seconds out and back. */
  distanceM = 0;
  heightM = 0;
  sideM = 0;
  outS = 0;
  backS = 0;
  wallM = 0;
  readonly #flight: Flight;
  readonly #setup: WallSetup;
  readonly #numbers: WallNumbers;
  readonly #reach: Reach;
  readonly #groundM: number;
  readonly #fromM: number;
  readonly #toM: number;
  readonly #bounces: boolean;

  constructor(setup: WallSetup, numbers: WallNumbers, reach: Reach, fineness: Fineness) {
    const { levelM, fromM, toM } = groundOf(setup);
    this.#setup = setup;
    this.#numbers = numbers;
    this.#reach = reach;
    this.#flight = new Flight(fineness);
    this.#groundM = levelM + numbers.ball.radiusM;
    this.#fromM = fromM;
    this.#toM = toM;
    this.#bounces = bouncesBack(setup.shot);
  }

  /**
   * Plays one hit; the motion is used up.
   * @param standsM where the player stands sideways
   * @returns how it ended, or null when the ball was met
   */
  play(m: Motion, standsM: number): RallyEnd | null {
    const { ball, ground, wall } = this.#numbers;
    const setup = this.#setup;
    const flight = this.#flight;
    this.outS = 0;
    this.backS = 0;
    if (setup.shot === 'floor first') {
      const down = this.#toWall(m);
      if (down !== 'floor') return 'short';
      bounce(ball, ground, m, Y);
    }
    const out = this.#toWall(m);
    if (out !== 'wall') return out === 'ceiling' ? 'too high' : 'short';
    this.wallM = m[1]!;
    if (this.wallM > setup.wallTopM) return 'too high';
    bounce(ball, wall, m, X);

    if (!this.#bounces) return this.#meet(m, standsM, null);
    // To the ground, unless it flies past first.
    const farM = setup.distanceM + this.#reach.backM;
    flight.start(ball, m);
    for (;;) {
      const down = flight.crossing(Y, this.#groundM, -1);
      const past = flight.crossing(X, farM, 1);
      if (past <= down || (past === past && down !== down)) return 'long';
      if (down === down) {
        const at = flight.position(X, down);
        if (at >= this.#fromM && at <= this.#toM) {
          flight.settle(down);
          break;
        }
        return at < this.#fromM ? 'short' : 'long';
      }
      if (this.#highest(flight.stepS)) return 'too high';
      if (flight.atS > patienceS) return 'twice bounced';
      flight.next();
    }
    this.backS = flight.atS;
    bounce(ball, ground, m, Y);
    return this.#meet(m, standsM, m[0]!);
  }

  /** Out to the wall, or to the floor before it. */
  #toWall(m: Motion): 'wall' | 'floor' | 'ceiling' {
    const flight = this.#flight;
    const { radiusM } = this.#numbers.ball;
    flight.start(this.#numbers.ball, m);
    for (;;) {
      const wall = flight.crossing(X, radiusM, -1);
      const floor = flight.crossing(Y, radiusM, -1);
      const first = wall === wall && !(floor < wall) ? wall : floor;
      if (this.#highest(first === first ? first : flight.stepS)) return 'ceiling';
      if (first === first) {
        flight.settle(first);
        this.outS += flight.atS;
        return first === wall ? 'wall' : 'floor';
      }
      if (flight.atS > patienceS) return 'floor';
      flight.next();
    }
  }

  /** Does the ball touch the ceiling in the first part of the step? */
  #highest(untilS: number): boolean {
    const { ceilingM } = this.#setup;
    if (ceilingM === null) return false;
    const level = ceilingM - this.#numbers.ball.radiusM;
    return this.#flight.crossing(Y, level, 1) <= untilS;
  }

  /** Meets the ball on its last leg: where it should come to, or as near to it as the reach allows. */
  #meet(m: Motion, standsM: number, bounceM: number | null): RallyEnd | null {
    const flight = this.#flight;
    const { lowM, highM, forwardM, backM, sideM } = this.#reach;
    const { distanceM } = this.#setup;
    const startS = this.backS;
    // Bounced behind the place already: only a step back helps.
    let wantedM = bounceM !== null && bounceM >= distanceM ? distanceM + backM : distanceM;
    const nearM = distanceM - forwardM;
    // Down before it can be met: at the feet of somebody who stands too near, or too far away.
    const low = bounceM === null ? 'short' : bounceM >= distanceM ? 'long' : 'twice bounced';
    let wasHigh = false;
    flight.start(this.#numbers.ball, m);
    for (;;) {
      const there = flight.crossing(X, wantedM, 1);
      const down = flight.crossing(Y, this.#groundM, -1);
      const sinks = flight.crossing(Y, lowM, -1);
      const comesDown = wasHigh ? flight.crossing(Y, highM, -1) : never;
      if (comesDown === comesDown && !(there < comesDown))
        return this.#met(m, comesDown, startS, standsM, sideM);
      if (sinks === sinks && !(there <= sinks) && wantedM === distanceM) {
        // It would be down before it gets here: met further in, as low as can be, if a step in is enough.
        if (flight.position(X, sinks) < nearM) return low;
        return this.#met(m, sinks, startS, standsM, sideM);
      }
      if (there === there && !(down < there)) {
        const height = flight.position(Y, there);
        if (height >= lowM && height <= highM) return this.#met(m, there, startS, standsM, sideM);
        const lastM = distanceM + backM;
        if (wantedM >= lastM) return height > highM ? 'too high' : low;
        // Too high, or still coming up: a step back lets it come into reach.
        wasHigh = height > highM;
        wantedM = lastM;
        continue;
      }
      if (down === down) return low;
      if (this.#highest(flight.stepS)) return 'too high';
      if (flight.atS > patienceS) return 'twice bounced';
      flight.next();
    }
  }

  #met(m: Motion, atS: number, startS: number, standsM: number, sideM: number): RallyEnd | null {
    this.#flight.settle(atS);
    this.backS = startS + this.#flight.atS;
    this.distanceM = m[X]!;
    this.heightM = m[Y]!;
    this.sideM = m[Z]!;
    return abs(this.sideM - standsM) > sideM ? 'wide' : null;
  }
}
