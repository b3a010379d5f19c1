import { g } from '../base/gravity';

/** Fewer bounces than this say nothing about steadiness: ours. */
const fewestHeights = 4;

/** Height over the strings of a ball that takes `seconds` from one touch to the next: h = g t²/8, centimetres. */
export function bounceHeightCm(seconds: number): number {
  return (100 * g * seconds * seconds) / 8;
}

/**
 * How unevenly a practised finger taps along with a ball, milliseconds from tap to tap's own moment. From memory:
 * tapping along with a beat is off by 20 to 30 ms.
 */
export const fingerMs = 25;

/** How far a moment is off that was heard, milliseconds: twice the median of the bench’s scenes (`sound-time`). */
export const earMs = 0.6;

/**
 * The spread of heights a finger alone makes of bounces that are all alike, centimetres: h = g t²/8, so dh = g t/4 dt, and
 * each time has the error of two taps.
 * @param meanSquareS mean of the squares of the times from touch to touch, seconds squared
 */
export const fingerSpreadCm = (meanSquareS: number, ms = fingerMs): number =>
  ((100 * g) / 4) * Math.sqrt(2 * meanSquareS) * (ms / 1000);

/** The bounces of one round, gathered as they come. Drag is left out: under 5 % of the height below half a metre. */
export class BounceSpread {
  readonly #heights: number[] = [];
  #squaresS = 0;
  #lastMs: number | null = null;

  /** @param errorMs how far each moment is off: of a finger that taps, where nothing else is said */
  constructor(readonly errorMs = fingerMs) {}

  touch(atMs: number): void {
    if (this.#lastMs !== null && atMs > this.#lastMs) {
      const seconds = (atMs - this.#lastMs) / 1000;
      this.#heights.push(bounceHeightCm(seconds));
      this.#squaresS += seconds * seconds;
    }
    this.#lastMs = atMs;
  }

  /** After a drop the time to the next touch is no bounce. */
  drop(): void {
    this.#lastMs = null;
  }

  /**
   * Sample standard deviation of the heights without the share of what took the times, cm to a tenth; null with too few
   * bounces. What is left of an even row may be nothing.
   */
  spreadCm(): number | null {
    const n = this.#heights.length;
    if (n < fewestHeights) return null;
    const mean = this.#heights.reduce((sum, h) => sum + h, 0) / n;
    const variance = this.#heights.reduce((sum, h) => sum + (h - mean) ** 2, 0) / (n - 1);
    const error = fingerSpreadCm(this.#squaresS / n, this.errorMs);
    return Math.round(Math.sqrt(Math.max(0, variance - error ** 2)) * 10) / 10;
  }
}
