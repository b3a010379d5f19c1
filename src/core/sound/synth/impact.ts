import { normals, type Random } from '../../base/random';
import type { SoundKind } from '../kinds';

/** A way a thing rings: its pitch, and in how many milliseconds it falls to a third (1/e). */
interface Ring {
  readonly hz: number;
  readonly decayMs: number;
  readonly share: number;
}

/** A thing that is hit: how it rings, and the noise of the contact, between two pitches. */
export interface Body {
  readonly rings: readonly Ring[];
  readonly noise: {
    readonly share: number;
    readonly decayMs: number;
    readonly lowHz: number;
    readonly highHz: number;
  };
}

const ring = (hz: number, decayMs: number, share: number): Ring => ({ hz, decayMs, share });

/** What the stand-in can hit: what can be taught, and a footstep nobody taught. */
export type Struckable = SoundKind | 'step';

/**
 * How the stand-in's things sound: damped rings and a burst of noise. All ours, by ear and by what is commonly said: strings
 * ring at some hundred hertz and long, a frame hard and high, floor and wall thud, hands clap wide, a catch is soft and dull.
 */
const bodies: Readonly<Record<Struckable, Body>> = {
  strings: {
    rings: [ring(520, 55, 1), ring(1120, 28, 0.6), ring(1890, 16, 0.35)],
    noise: { share: 0.5, decayMs: 6, lowHz: 700, highHz: 6000 },
  },
  frame: {
    rings: [ring(1450, 22, 1), ring(2600, 14, 0.8), ring(4200, 8, 0.4)],
    noise: { share: 0.6, decayMs: 3, lowHz: 1500, highHz: 9000 },
  },
  floor: {
    rings: [ring(180, 26, 1), ring(410, 16, 0.7), ring(1250, 7, 0.35)],
    noise: { share: 0.5, decayMs: 7, lowHz: 250, highHz: 3500 },
  },
  wall: {
    rings: [ring(300, 20, 1), ring(720, 14, 0.7), ring(2100, 6, 0.3)],
    noise: { share: 0.6, decayMs: 8, lowHz: 400, highHz: 5000 },
  },
  table: {
    rings: [ring(820, 30, 1), ring(1650, 18, 0.6), ring(3300, 7, 0.3)],
    noise: { share: 0.4, decayMs: 3, lowHz: 1200, highHz: 8000 },
  },
  hand: {
    rings: [ring(240, 14, 1), ring(560, 9, 0.6)],
    noise: { share: 0.7, decayMs: 9, lowHz: 200, highHz: 2600 },
  },
  clap: {
    rings: [ring(1100, 6, 0.5), ring(1900, 5, 0.5)],
    noise: { share: 1, decayMs: 9, lowHz: 700, highHz: 7000 },
  },
  catch: {
    rings: [ring(160, 18, 1), ring(330, 12, 0.5)],
    noise: { share: 0.5, decayMs: 14, lowHz: 150, highHz: 1500 },
  },
  step: {
    rings: [ring(95, 22, 1), ring(230, 12, 0.5)],
    noise: { share: 0.8, decayMs: 20, lowHz: 90, highHz: 900 },
  },
};

/** One thing of its kind: this ball on this face, a little other than all others. */
export function bodyOf(kind: Struckable, random: Random): Body {
  const { rings, noise } = bodies[kind];
  const about = (share: number) => 1 - share + 2 * share * random();
  const higher = about(0.15);
  return {
    rings: rings.map(({ hz, decayMs, share }) =>
      ring(hz * higher * about(0.04), decayMs * about(0.25), share * about(0.3)),
    ),
    noise: {
      share: noise.share * about(0.3),
      decayMs: noise.decayMs * about(0.25),
      lowHz: noise.lowHz * about(0.2),
      highHz: noise.highHz * about(0.2),
    },
  };
}

/** A burst lasts so long, seconds; the longest ring is over by then. */
const lastsS = 0.28;
/** Over so many seconds an impact is as loud as it gets: its level is that of them. */
export const loudS = 0.01;

/**
 * One impact as a wave whose first {@link loudS} seconds have a root mean square of 1.
 * @param rate samples a second
 */
export function impactWave({ rings, noise }: Body, random: Random, rate: number): Float32Array {
  const wave = new Float32Array(Math.round(lastsS * rate));
  const draw = normals(random);
  // No two hits are the same: every ring is a little off, and begins where it does.
  const off = 1 + 0.03 * draw();
  for (const { hz, decayMs, share } of rings) {
    const turn = (2 * Math.PI * hz * off) / rate;
    const fall = Math.exp(-1000 / (decayMs * (1 + 0.1 * draw()) * rate));
    const phase = 2 * Math.PI * random();
    const loud = share * (1 + 0.15 * draw());
    // Two values of a damped sine give the next: r² and 2 r cos of the turn.
    const [once, twice] = [2 * fall * Math.cos(turn), fall * fall];
    let before = (loud * Math.sin(phase - turn)) / fall;
    let now = loud * Math.sin(phase);
    for (let n = 0; n < wave.length; n++) {
      wave[n]! += now;
      [before, now] = [now, once * now - twice * before];
    }
  }
  const band = bandOf(noise.lowHz, noise.highHz, rate);
  const fall = Math.exp(-1000 / (noise.decayMs * rate));
  let loud = noise.share * 2.5;
  for (let n = 0; n < wave.length && loud > 1e-4; n++) {
    wave[n]! += loud * band(draw());
    loud *= fall;
  }
  // The ball presses before it rings: half a millisecond to its full height. At its end nothing clicks.
  const rise = Math.round(0.0005 * rate);
  for (let n = 0; n < rise; n++) wave[n]! *= (n + 1) / (rise + 1);
  const fade = Math.round(0.02 * rate);
  for (let n = 0; n < fade; n++) wave[wave.length - 1 - n]! *= n / fade;
  return scaled(wave, 1 / rms(wave, 0, Math.round(loudS * rate)));
}

/** Keeps what lies between two pitches: one pole from below, one from above. */
export function bandOf(lowHz: number, highHz: number, rate: number): (x: number) => number {
  const [a, b] = [lowHz, highHz].map((hz) => 1 - Math.exp((-2 * Math.PI * hz) / rate)) as [number, number];
  let [low, high] = [0, 0];
  return (x) => {
    high += b * (x - high);
    low += a * (high - low);
    return high - low;
  };
}

export function rms(wave: Float32Array, from = 0, to = wave.length): number {
  let sum = 0;
  for (let n = from; n < to; n++) sum += wave[n]! * wave[n]!;
  return Math.sqrt(sum / Math.max(1, to - from));
}

export function scaled(wave: Float32Array, by: number): Float32Array {
  for (let n = 0; n < wave.length; n++) wave[n]! *= by;
  return wave;
}
