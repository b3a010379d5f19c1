import FFT from 'fft.js';

/** Samples of a frame, and from one to the next: 10.7 and 2.7 ms at 48 kHz. Ours. */
export const [frameSize, hopSize] = [512, 128] as const;
/** Bands from one pitch to another, each as much wider than the last. Ours: what a phone's microphone hears well. */
const [lowestHz, highestHz, bandCount] = [150, 12_000, 20] as const;

/** The pitches between bands, hertz, from the lowest up. */
export const bandEdgesHz: readonly number[] = Array.from(
  { length: bandCount + 1 },
  (_, n) => lowestHz * (highestHz / lowestHz) ** (n / bandCount),
);

/** Frames of a sound as energies by band. */
export class Spectrum {
  readonly #fft = new FFT(frameSize);
  readonly #out = this.#fft.createComplexArray();
  readonly #windowed = new Float64Array(frameSize);
  readonly #window: Float64Array;
  /** The first and last line of each band. */
  readonly #lines: readonly (readonly [number, number])[];

  constructor(rate: number) {
    this.#window = Float64Array.from(
      { length: frameSize },
      (_, n) => 0.5 - 0.5 * Math.cos((2 * Math.PI * n) / (frameSize - 1)),
    );
    const lineOf = (hz: number) => Math.min(frameSize / 2 - 1, Math.round((hz * frameSize) / rate));
    this.#lines = bandEdgesHz.slice(0, -1).map((hz, n) => {
      const low = Math.max(1, lineOf(hz));
      return [low, Math.max(low + 1, lineOf(bandEdgesHz[n + 1]!))];
    });
  }

  /** Energies of the bands of a frame that begins at a sample; written into a list. */
  bandsAt(samples: Float32Array, from: number, into: Float64Array): void {
    for (let n = 0; n < frameSize; n++) this.#windowed[n] = samples[from + n]! * this.#window[n]!;
    this.#fft.realTransform(this.#out, this.#windowed);
    for (let band = 0; band < bandCount; band++) {
      const [low, high] = this.#lines[band]!;
      let energy = 0;
      for (let line = low; line < high; line++) {
        const [re, im] = [this.#out[2 * line]!, this.#out[2 * line + 1]!];
        energy += re * re + im * im;
      }
      into[band] = energy;
    }
  }
}
