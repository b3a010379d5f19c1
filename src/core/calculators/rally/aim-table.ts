import { numbersOf, type WallNumbers, type WallSetup } from '@/core/ballistics/wall/setup';
import type { Reach } from '@/core/ballistics/wall/reach';
import { solveWall, type WallSolution } from '@/core/ballistics/wall/solve';

const { floor, max, min } = Math;

/** Places in a row, and heights in a column, for which the hit back to the middle is worked out. */
const places = 5;
const heights = 5;

/**
 * What a player means to do from wherever the ball was met: the hit at the same mark that brings it back to its place.
 * Worked out on a grid over the reach, and in between by straight lines. Where nothing works from a corner of the reach,
 * the nearest hit that does is meant.
 */
export class AimTable {
  /** The rally as it is meant: from its own place. */
  readonly nominal: WallSolution;
  readonly #nearM: number;
  readonly #placeStep: number;
  readonly #lowM: number;
  readonly #heightStep: number;
  readonly #speed = new Float64Array(places * heights);
  readonly #elevation = new Float64Array(places * heights);

  /** @throws RangeError when there is no rally at all in this set-up */
  constructor(setup: WallSetup, reach: Reach, numbers: WallNumbers = numbersOf(setup)) {
    const answer = solveWall(setup, numbers);
    if (!answer.ok) throw new RangeError('There is no rally in this set-up.');
    this.nominal = answer.solution;
    this.#nearM = setup.distanceM - reach.forwardM;
    this.#placeStep = (reach.forwardM + reach.backM) / (places - 1);
    const low = max(reach.lowM, setup.shot === 'table' ? 0.8 : 0);
    this.#lowM = low;
    this.#heightStep = (reach.highM - low) / (heights - 1);
    // A hit from the edge of the reach may be harder than one in comfort.
    const freely = { ...setup, topSpeedMps: 1.5 * setup.topSpeedMps };
    for (let i = 0; i < places; i++)
      for (let j = 0; j < heights; j++) {
        const from = {
          distanceM: max(0.3, this.#nearM + i * this.#placeStep),
          heightM: low + j * this.#heightStep,
        };
        const here = solveWall(freely, numbers, from);
        const meant = here.ok ? here.solution : answer.solution;
        this.#speed[i * heights + j] = meant.speedMps;
        this.#elevation[i * heights + j] = meant.elevation;
      }
  }

  /** Speed meant from a place and height. */
  speed(distanceM: number, heightM: number): number {
    return this.#between(this.#speed, distanceM, heightM);
  }

  elevation(distanceM: number, heightM: number): number {
    return this.#between(this.#elevation, distanceM, heightM);
  }

  #between(grid: Float64Array, distanceM: number, heightM: number): number {
    const x = min(places - 1.000001, max(0, (distanceM - this.#nearM) / this.#placeStep));
    const y = min(heights - 1.000001, max(0, (heightM - this.#lowM) / this.#heightStep));
    const i = floor(x);
    const j = floor(y);
    const u = x - i;
    const v = y - j;
    const at = i * heights + j;
    return (
      (1 - u) * ((1 - v) * grid[at]! + v * grid[at + 1]!) +
      u * ((1 - v) * grid[at + heights]! + v * grid[at + heights + 1]!)
    );
  }
}
