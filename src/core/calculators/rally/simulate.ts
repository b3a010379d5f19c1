import type { Fineness } from '@/core/ballistics/flight';
import { launched } from '@/core/ballistics/motion';
import { Exchange, rallyEnds, type RallyEnd } from '@/core/ballistics/wall/exchange';
import type { Reach } from '@/core/ballistics/wall/reach';
import { numbersOf, topspinOf, type WallSetup } from '@/core/ballistics/wall/setup';
import { normals, seededRandom } from '@/core/base/random';
import { AimTable } from './aim-table';
import type { Spread } from './spread';

const { abs, atan2, max, min } = Math;

/** A rally to be played again and again. */
export interface RallySetting {
  readonly setup: WallSetup;
  readonly reach: Reach;
}

/** How rallies went: how many had each length, and why they ended. */
export interface Rallies {
  /** At index n: rallies of n good hits in a row; the last one counts those that were stopped there. */
  readonly lengths: readonly number[];
  readonly ends: Readonly<Record<RallyEnd, number>>;
  /** Rallies that went on when they were stopped. */
  readonly unended: number;
  readonly rallies: number;
}

/** Millimetres do not matter where hits scatter by decimetres. */
const quick: Fineness = { longestS: 0.6, share: 0.35 };

/** How much more a player scatters who meets the ball at the very edge of the reach: by half. Ours. */
const offBalance = 0.5;

/**
 * Plays rallies against a wall: every hit is meant to bring the ball back to its place, scatters, and is met where it
 * can be; the next hit is made from there. So one poor hit makes the next one harder, as on court.
 */
export class RallyPlayer implements PlaysRallies {
  readonly aims: AimTable;
  readonly #setting: RallySetting;
  readonly #exchange: Exchange;
  readonly #motion = new Float64Array(9);
  readonly #topspin: number;

  /** @throws RangeError when there is no rally at all in this set-up */
  constructor(setting: RallySetting) {
    const { setup, reach } = setting;
    const numbers = numbersOf(setup);
    this.#setting = setting;
    this.#topspin = topspinOf(setup);
    this.aims = new AimTable(setup, reach, numbers);
    this.#exchange = new Exchange(setup, numbers, reach, quick);
  }

  /** Why the last rally ended; null when it was stopped. */
  end: RallyEnd | null = null;

  /**
   * Plays one rally.
   * @param most stopped after so many good hits
   * @param draw from the normal distribution of mean 0 and spread 1
   * @returns good hits in a row
   */
  rally(spread: Spread, most: number, draw: () => number): number {
    const { setup, reach } = this.#setting;
    const exchange = this.#exchange;
    let distanceM = setup.distanceM;
    let heightM = setup.contactM;
    let sideM = 0;
    for (let hits = 0; hits < most; hits++) {
      const drawn = distanceM - setup.distanceM;
      const stretch = abs(drawn) / (drawn < 0 ? reach.forwardM : reach.backM);
      const more = 1 + offBalance * min(1, stretch);
      const speedMps = this.aims.speed(distanceM, heightM) * (1 + more * spread.speed * draw());
      const elevation = this.aims.elevation(distanceM, heightM) + more * spread.height * draw();
      // Sideways it is meant for the middle of the lane, out and back again. Towards the wall, right is where z falls.
      const side = atan2(sideM, distanceM + setup.distanceM) + more * spread.side * draw();
      this.#at[0] = distanceM;
      this.#at[1] = heightM;
      this.#at[2] = sideM;
      const launch = { speedMps: max(0.3, speedMps), elevation, side, topspin: this.#topspin };
      launched(this.#at, launch, -1, this.#motion);
      this.end = exchange.play(this.#motion, sideM);
      if (this.end !== null) return hits;
      distanceM = exchange.distanceM;
      heightM = exchange.heightM;
      sideM = exchange.sideM;
    }
    return most;
  }

  readonly #at: [number, number, number] = [0, 0, 0];
}

export interface SimulateOptions {
  readonly rallies: number;
  /** Rallies are stopped at so many good hits. */
  readonly most: number;
  readonly seed: number;
  /** Told now and then how many are done. */
  readonly progress?: (done: number) => void;
}

/** Somebody who plays rallies: with flights, or, to test against formulas, without. */
export interface PlaysRallies {
  readonly end: RallyEnd | null;
  rally(spread: Spread, most: number, draw: () => number): number;
}

/** Plays many rallies. The same seed plays the same ones. */
export function simulateRallies(
  player: PlaysRallies,
  spread: Spread,
  { rallies, most, seed, progress }: SimulateOptions,
): Rallies {
  const draw = normals(seededRandom(seed));
  const lengths = new Array<number>(most + 1).fill(0);
  const ends = Object.fromEntries(rallyEnds.map((end) => [end, 0])) as Record<RallyEnd, number>;
  let unended = 0;
  for (let k = 0; k < rallies; k++) {
    const hits = player.rally(spread, most, draw);
    lengths[hits]!++;
    if (player.end === null) unended++;
    else ends[player.end]++;
    if (progress && k % 250 === 249) progress(k + 1);
  }
  return { lengths, ends, unended, rallies };
}
