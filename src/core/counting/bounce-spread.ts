import { g } from '../gravity';

/** Fewer bounces than this say nothing about steadiness: ours. */
const fewestHeights = 4;

/** Height over the strings of a ball that takes `seconds` from one touch to the next: h = g t²/8, centimetres. */
export function bounceHeightCm(seconds: number): number {
  return (100 * g * seconds * seconds) / 8;
}

/** The bounces of one round, gathered as they come. Drag is left out: under 5 % of the height below half a metre. */
export class BounceSpread {
  readonly #heights: number[] = [];
  #lastMs: number | null = null;

  touch(atMs: number): void {
    if (this.#lastMs !== null && atMs > this.#lastMs)
      this.#heights.push(bounceHeightCm((atMs - this.#lastMs) / 1000));
    this.#lastMs = atMs;
  }

  /** After a drop the time to the next touch is no bounce. */
  drop(): void {
    this.#lastMs = null;
  }

  /** Sample standard deviation of the heights, cm to a tenth; null with too few bounces. */
  spreadCm(): number | null {
    const n = this.#heights.length;
    if (n < fewestHeights) return null;
    const mean = this.#heights.reduce((sum, h) => sum + h, 0) / n;
    const variance = this.#heights.reduce((sum, h) => sum + (h - mean) ** 2, 0) / (n - 1);
    return Math.round(Math.sqrt(variance) * 10) / 10;
  }
}
