import { normals, type Random } from '../../base/random';
import { bandOf, rms, scaled } from './impact';

/** What else is to be heard in a hall. */
export const noiseKinds = ['hiss', 'hum', 'babble', 'music'] as const;
export type NoiseKind = (typeof noiseKinds)[number];

type Fill = (wave: Float32Array, random: Random, rate: number) => void;

const fills: Readonly<Record<NoiseKind, Fill>> = {
  /** Air and traffic: wide noise, more of it low. */
  hiss: (wave, random, rate) => {
    const draw = normals(random);
    const low = bandOf(80, 2500, rate);
    for (let n = 0; n < wave.length; n++) {
      const x = draw();
      wave[n]! += low(x) + 0.15 * x;
    }
  },
  /** Lamps and fans. */
  hum: (wave, random, rate) => {
    for (const [hz, loud] of [
      [50, 1],
      [100, 0.7],
      [150, 0.4],
      [300, 0.2],
      [620, 0.1],
    ] as const) {
      const phase = 2 * Math.PI * random();
      for (let n = 0; n < wave.length; n++)
        wave[n]! += loud * Math.sin((2 * Math.PI * hz * n) / rate + phase);
    }
  },
  /** Six who talk: voiced syllables of some pitch, louder and softer some four times a second, with hissed consonants. */
  babble: (wave, random, rate) => {
    const draw = normals(random);
    for (let voice = 0; voice < 6; voice++) {
      const pitchHz = 110 + 170 * random();
      let at = -Math.round(0.3 * random() * rate);
      while (at < wave.length) {
        const length = Math.round((0.1 + 0.2 * random()) * rate);
        const hissed = random() < 0.2;
        const loud = 0.4 + 0.6 * random();
        const formant = bandOf(300 + 500 * random(), 900 + 1700 * random(), rate);
        const sibilant = bandOf(3000, 8000, rate);
        const hz = pitchHz * (1 + 0.12 * draw());
        for (let n = Math.max(0, at); n < Math.min(wave.length, at + length); n++) {
          // Swells and fades: no syllable begins as a blow does.
          const swell = Math.sin((Math.PI * (n - at)) / length) ** 1.5;
          const saw = 2 * (((n * hz) / rate) % 1) - 1;
          wave[n]! += loud * swell * (hissed ? 0.7 * sibilant(draw()) : 2 * formant(saw));
        }
        at += length + Math.round(0.12 * random() * rate);
      }
    }
  },
  /** Chords that are struck softly and held, a bass, no drum. */
  music: (wave, random, rate) => {
    const beat = Math.round(0.5 * rate);
    for (let at = 0; at < wave.length; at += beat) {
      const root = 130 * 2 ** (Math.floor(12 * random()) / 12);
      for (const ratio of [0.5, 1, 1.26, 1.5, 2]) {
        const turn = (2 * Math.PI * root * ratio) / rate;
        for (let n = at; n < Math.min(wave.length, at + 2 * beat); n++) {
          const since = (n - at) / rate;
          const loud = Math.min(1, since / 0.06) * Math.exp(-since / 0.5) * Math.min(1, (1 - since) / 0.1);
          wave[n]! += loud * (Math.sin(turn * n) + 0.4 * Math.sin(2 * turn * n));
        }
      }
    }
  },
};

/** So many seconds are made anew; what is longer goes over into its own beginning, so that no seam is heard. */
const [freshS, seamS] = [5, 0.25] as const;

/** So many seconds of noise with a root mean square of 1. */
export function noiseWave(kind: NoiseKind, seconds: number, random: Random, rate: number): Float32Array {
  // A hum would be heard to go over into itself.
  const longestS = kind === 'hum' ? Infinity : freshS;
  const fresh = new Float32Array(Math.round(Math.min(seconds, longestS) * rate));
  fills[kind](fresh, random, rate);
  scaled(fresh, 1 / Math.max(1e-12, rms(fresh)));
  if (seconds <= longestS) return fresh;
  const wave = new Float32Array(Math.round(seconds * rate));
  const seam = Math.round(seamS * rate);
  for (let from = 0; from < wave.length; from += fresh.length - seam)
    for (let n = 0; n < fresh.length && from + n < wave.length; n++) {
      const [since, left] = [n / seam, (fresh.length - n) / seam];
      const rise = from === 0 ? 1 : Math.sqrt(Math.min(1, since));
      wave[from + n]! += fresh[n]! * rise * Math.sqrt(Math.min(1, left));
    }
  return wave;
}
