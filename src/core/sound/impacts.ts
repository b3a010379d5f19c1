import { onsetIn } from './onset';
import { bandEdgesHz, frameSize, hopSize, Spectrum } from './spectrum';

/** Something was hit. */
export interface Impact {
  /** Seconds from the first sample. */
  readonly atS: number;
  /** The root mean square of its first ten milliseconds, dB against the loudest there can be. */
  readonly levelDb: number;
  /** How far it stood out of what is heard all the time: 1 just so, 2 twice as far. */
  readonly clear: number;
  /** The shares of its energy by band ({@link bandEdgesHz}), over what is heard all the time. */
  readonly bands: readonly number[];
  /** In so many milliseconds it falls to a third (1/e) of its energy. */
  readonly decayMs: number;
  /** True where samples of it were cut off: nobody knows how loud it was. */
  readonly clipped: boolean;
}

/*
 * All of it ours, found on scenes of the stand-in that no bench or test uses.
 */

/** How much of a rise and of a fall of what is always there is taken over with each frame. */
const noiseFollows = { rise: 0.012, fall: 0.2 } as const;
/** An echo: a band hides what is under this share of the loudest it had of late, which fades in so many seconds. */
const echo = { share: 0.02, fallS: 0.8 } as const;
/** A rise is from one frame to the one so many later: an impact takes more than a hop to be all there. */
const apart = 2;
/** Rises stand out over so much, over so many spreads of what is usual, and over this share of impacts of before. */
const standsOut = { least: 13, spreads: 7.5, ofOthers: 0.4 } as const;
/** How much of each frame goes into what is usual. */
const usualShare = 0.015;
/** A loud impact hides a softer one of this share of its rise, less with each so many seconds. */
const hides = { share: 0.45, fallS: 0.09 } as const;
/** A peak is one among so many frames on both sides. */
const around = 3;
/** The bands are read over so many frames after the rise, the decay over so many more. */
const [toneFrames, decayFrames] = [3, 16] as const;
const levelS = 0.01;
/** At so much of the loudest there can be a sample counts as cut off. */
const cutOff = 0.995;

/** So many seconds are listened to before anything is found; what is cut short at the very end was no blow. */
const [settlesS, endS] = [0.25, 0.012] as const;

/** Frames that are kept: enough to look back from the newest to the rise it completes. */
const kept = 64;
const bandCount = bandEdgesHz.length - 1;
const bandLists = () => Array.from({ length: kept }, () => new Float64Array(bandCount));

/** Two blows closer than this are heard as one, seconds; what the ball allows is for the counting to say. Ours. */
export const usualApartS = 0.035;

/**
 * Finds impacts in a sound as it comes in: spectral flux (rises of the bands' energies over what is always there, on a
 * logarithmic scale; S. Dixon 2006 compares such onset functions), a bar that follows the sound, and peaks of it at
 * least so far from each other.
 */
export class ImpactFinder {
  readonly #rate: number;
  readonly #spectrum: Spectrum;
  readonly #apartS: number;
  /** The newest samples, and how many came before them. */
  #samples = new Float32Array(0);
  #dropped = 0;
  /** Frames looked at so far; those of late by their number modulo {@link kept}. */
  #frames = 0;
  readonly #energies = bandLists();
  readonly #logs = bandLists();
  readonly #flux = new Float64Array(kept);
  readonly #bar = new Float64Array(kept);
  readonly #noise = new Float64Array(bandCount);
  readonly #loudest = new Float64Array(bandCount);
  readonly #fade: number;
  #mean = 0;
  #spread = 0;
  #lastS = -Infinity;
  #lastFlux = 0;
  /** What impacts usually rise by here. */
  #typical = 0;

  /**
   * @param rate samples a second
   * @param apartS two blows closer than this are heard as one, seconds
   */
  constructor(rate: number, apartS = usualApartS) {
    this.#rate = rate;
    this.#spectrum = new Spectrum(rate);
    this.#apartS = apartS;
    this.#fade = Math.exp(-hopSize / (rate * echo.fallS));
  }

  /** Takes the next samples; gives the impacts that are certain by now, each once, in their order. */
  push(samples: Float32Array): Impact[] {
    const all = new Float32Array(this.#samples.length + samples.length);
    all.set(this.#samples);
    all.set(samples, this.#samples.length);
    this.#samples = all;
    const found: Impact[] = [];
    let from = this.#frames * hopSize - this.#dropped;
    for (; from + frameSize <= all.length; from += hopSize) {
      this.#look(from);
      const impact = this.#peakAt(this.#frames - 1 - decayFrames - around);
      if (impact) found.push(impact);
    }
    // What no frame to come and no impact to come begins in is let go.
    const keepFrom = Math.max(0, from - (kept - 1) * hopSize);
    this.#samples = all.slice(keepFrom);
    this.#dropped += keepFrom;
    return found;
  }

  /** The impacts of the last moments, when nothing more comes. */
  end(): Impact[] {
    const untilS = (this.#dropped + this.#samples.length) / this.#rate - endS;
    const rest = this.push(new Float32Array((decayFrames + around + 5) * hopSize + frameSize));
    return rest.filter(({ atS }) => atS < untilS);
  }

  /** The next frame: its bands over what is always there, and how much they rose. */
  #look(from: number): void {
    const slot = this.#frames % kept;
    const energies = this.#energies[slot]!;
    const logs = this.#logs[slot]!;
    this.#spectrum.bandsAt(this.#samples, from, energies);
    const before = this.#logs[(this.#frames - apart + kept) % kept]!;
    let flux = 0;
    for (let band = 0; band < bandCount; band++) {
      const energy = energies[band]!;
      const noise = this.#noiseAfter(band, energy);
      // What rang of late hides its own echo.
      const loudest = Math.max(energy, this.#loudest[band]! * this.#fade);
      this.#loudest[band] = loudest;
      logs[band] = Math.log(1 + energy / (2 * noise + echo.share * loudest + 1e-9));
      if (this.#frames >= apart) flux += Math.max(0, logs[band]! - before[band]!);
    }
    this.#flux[slot] = flux;
    const { least, spreads, ofOthers } = standsOut;
    const bar = Math.max(least, this.#mean + spreads * this.#spread, ofOthers * this.#typical);
    this.#bar[slot] = bar;
    // A rise that stands out says nothing of what is usual.
    const usual = Math.min(flux, bar);
    this.#mean += usualShare * (usual - this.#mean);
    this.#spread += usualShare * (Math.abs(usual - this.#mean) - this.#spread);
    this.#frames += 1;
  }

  /** What is always there in a band, with one frame more: it falls soon and rises slowly, so that a blow hardly moves it. */
  #noiseAfter(band: number, energy: number): number {
    const noise = this.#noise[band]!;
    const over = energy - noise;
    const next =
      this.#frames === 0
        ? energy
        : noise +
          (over > 0 ? noiseFollows.rise * Math.min(over, 4 * noise + 1e-12) : noiseFollows.fall * over);
    this.#noise[band] = next;
    return next;
  }

  /** The impact whose rise is largest in a frame; null where it is in another, or does not stand out. */
  #peakAt(frame: number): Impact | null {
    if (frame < apart) return null;
    const flux = this.#flux[frame % kept]!;
    const bar = this.#bar[frame % kept]!;
    if (flux < bar) return null;
    for (let by = 1; by <= around; by++) {
      if (frame - by >= 0 && this.#flux[(frame - by) % kept]! >= flux) return null;
      if (this.#flux[(frame + by) % kept]! > flux) return null;
    }
    const first = Math.max(1, (frame - apart) * hopSize - this.#dropped);
    const end = Math.min(this.#samples.length, frame * hopSize - this.#dropped + frameSize);
    const atS = (this.#dropped + onsetIn(this.#samples, first, end, this.#rate)) / this.#rate;
    const sinceS = atS - this.#lastS;
    if (sinceS < this.#apartS || atS < settlesS) return null;
    if (flux < hides.share * this.#lastFlux * Math.exp(-(sinceS - this.#apartS) / hides.fallS)) return null;
    this.#lastS = atS;
    this.#lastFlux = flux;
    this.#typical += (this.#typical === 0 ? 1 : 0.2) * (flux - this.#typical);
    return { atS, clear: flux / bar, ...this.#loudness(atS), ...this.#ring(frame) };
  }

  #loudness(atS: number): Pick<Impact, 'levelDb' | 'clipped'> {
    const from = Math.max(0, Math.round(atS * this.#rate) - this.#dropped);
    const to = Math.min(this.#samples.length, from + Math.round(levelS * this.#rate));
    let [sum, cut] = [0, 0];
    for (let n = from; n < to; n++) {
      const sample = this.#samples[n]!;
      sum += sample * sample;
      if (Math.abs(sample) >= cutOff) cut += 1;
    }
    return { levelDb: 10 * Math.log10(sum / Math.max(1, to - from) + 1e-12), clipped: cut > 1 };
  }

  #ring(frame: number): Pick<Impact, 'bands' | 'decayMs'> {
    const over = new Float64Array(bandCount);
    const overNoise = (after: number, band: number): number =>
      Math.max(0, this.#energies[(frame + after) % kept]![band]! - this.#noise[band]!);
    const total = (after: number): number => {
      let energy = 0;
      for (let band = 0; band < bandCount; band++) energy += overNoise(after, band);
      return energy;
    };
    for (let after = 0; after < toneFrames; after++)
      for (let band = 0; band < bandCount; band++) over[band]! += overNoise(after, band);
    const whole = over.reduce((all, one) => all + one, 0) || 1;
    // The tail's energy against that of its beginning gives the fall, as of one that falls evenly.
    const start = total(toneFrames);
    let tail = 0;
    for (let after = toneFrames; after < decayFrames; after++) tail += total(after);
    const hopMs = (1000 * hopSize) / this.#rate;
    return {
      bands: Array.from(over, (one) => one / whole),
      decayMs: start > 0 ? (tail / start) * hopMs : 0,
    };
  }
}

/** All impacts of a sound that is there already. */
export function impactsIn(samples: Float32Array, rate: number, apartS?: number): Impact[] {
  const finder = new ImpactFinder(rate, apartS);
  return [...finder.push(samples), ...finder.end()];
}
