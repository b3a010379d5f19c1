/** A reading is two halves: together whole turns of the hum of 50 Hz mains, and nearly so of 60. Ours. */
const halfS = 0.01;
const readS = 2 * halfS;
/** So many readings are kept: four seconds where nothing is hit. Ours. */
const keptReadings = 200;
/** A blow and its ring are no noise for so long after it, nor just before; it is found so long after it came. Ours. */
const [ringsS, beforeS, foundWithinS] = [0.15, 0.02, 0.4] as const;

const powerOf = (db: number): number => 10 ** (db / 10);
const dbOf = (power: number): number => 10 * Math.log10(power + 1e-12);

/** How loud it is when nothing is hit: the median over time of what lies away from blows. */
export class NoiseMeter {
  readonly #rate: number;
  readonly #half: number;
  #sum = 0;
  #of = 0;
  #samples = 0;
  #firstHalf: number | null = null;
  #loudest = 0;
  /** Readings a blow may yet be found in, with the second they begin at. */
  #waiting: { readonly atS: number; readonly power: number }[] = [];
  #quiet: number[] = [];

  /** @param rate samples a second */
  constructor(rate: number) {
    this.#rate = rate;
    this.#half = Math.round(halfS * rate);
  }

  take(samples: Float32Array): void {
    for (const sample of samples) {
      this.#sum += sample * sample;
      this.#of += 1;
      this.#samples += 1;
      if (this.#of < this.#half) continue;
      this.#read(this.#sum / this.#of);
      this.#sum = this.#of = 0;
    }
    const settledS = this.#samples / this.#rate - foundWithinS;
    const settled = this.#waiting.filter(({ atS }) => atS < settledS);
    if (settled.length === 0) return;
    this.#waiting = this.#waiting.slice(settled.length);
    this.#quiet = [...this.#quiet, ...settled.map(({ power }) => power)].slice(-keptReadings);
  }

  #read(half: number): void {
    this.#loudest = Math.max(this.#loudest, half);
    if (this.#firstHalf === null) {
      this.#firstHalf = half;
      return;
    }
    const atS = this.#samples / this.#rate - readS;
    this.#waiting.push({ atS, power: (this.#firstHalf + half) / 2 });
    this.#firstHalf = null;
  }

  /** From now on the loudest is looked for anew. */
  forgetLoudest(): void {
    this.#loudest = 0;
  }

  /** The loudest hundredth of a second, dB. */
  get loudestDb(): number {
    return dbOf(this.#loudest);
  }

  /** Something was hit, at a second of the sound. */
  blow(hitS: number): void {
    this.#waiting = this.#waiting.filter(({ atS }) => atS + readS < hitS - beforeS || atS > hitS + ringsS);
  }

  /** dB against the loudest there can be; until anything is settled of what was heard so far. */
  get noiseDb(): number {
    const readings = this.#quiet.length > 0 ? this.#quiet : this.#waiting.map(({ power }) => power);
    const inOrder = [...readings].sort((a, b) => a - b);
    return dbOf(inOrder[Math.floor(inOrder.length / 2)] ?? 0);
  }
}

/** A level with the noise it was heard in taken off, dB; -Infinity where nothing is left. */
export const withoutNoise = (levelDb: number, noiseDb: number): number =>
  10 * Math.log10(Math.max(0, powerOf(levelDb) - powerOf(noiseDb)));
