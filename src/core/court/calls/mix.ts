import type { Cue, ToneName } from './timeline';

const { min, PI, sin } = Math;

/** The tones of a block: pitch in hertz, length in seconds, loudness 0 to 1. Ours. */
export const tones: Readonly<Record<ToneName, { hz: number; seconds: number; gain: number }>> = {
  tick: { hz: 660, seconds: 0.12, gain: 0.4 },
  go: { hz: 990, seconds: 0.35, gain: 0.4 },
  ten: { hz: 780, seconds: 0.2, gain: 0.4 },
  stop: { hz: 440, seconds: 0.45, gain: 0.4 },
  end: { hz: 330, seconds: 0.9, gain: 0.4 },
  beat: { hz: 520, seconds: 0.05, gain: 0.3 },
  accent: { hz: 780, seconds: 0.06, gain: 0.45 },
  feed: { hz: 260, seconds: 0.08, gain: 0.3 },
};

/** A short rise and fall keeps a tone free of clicks, seconds. */
export const edgeS = 0.005;

/** A spoken clip is heard after the tone that goes with it, seconds. */
export const clipAfterToneS = 0.5;

/** When a cue's clip starts: with the cue, or after its tone. */
export const clipAtS = (cue: Cue): number => cue.atS + (cue.tone === null ? 0 : clipAfterToneS);

export type ClipSamples = (name: string) => Float32Array | undefined;

/**
 * The sound of cues as one mono track.
 * @param clip samples of a spoken clip at `sampleRate`; undefined for one that is missing, which is left out
 * @returns samples from -1 to 1, `forS` seconds long
 */
export function mixTrack(
  cues: readonly Cue[],
  forS: number,
  sampleRate: number,
  clip: ClipSamples,
): Float32Array {
  return mixStretch(cues, 0, trackLength(forS, sampleRate), sampleRate, clip);
}

/** How many samples a track of so many seconds has. */
export const trackLength = (forS: number, sampleRate: number): number => Math.ceil(forS * sampleRate);

/**
 * One stretch of the same track: stretches one after another are the whole, sample for sample.
 * @param from its first sample, >= 0
 * @param length how many samples, >= 0
 */
export function mixStretch(
  cues: readonly Cue[],
  from: number,
  length: number,
  sampleRate: number,
  clip: ClipSamples,
): Float32Array {
  const stretch = new Float32Array(length);
  const add = (atS: number, count: number, sample: (i: number) => number) => {
    const begins = Math.round(atS * sampleRate) - from;
    const until = Math.min(count, length - begins);
    for (let i = Math.max(0, -begins); i < until; i++) stretch[begins + i]! += sample(i);
  };
  for (const cue of cues) {
    if (cue.tone) {
      const { hz, seconds, gain } = tones[cue.tone];
      const count = Math.round(seconds * sampleRate);
      const edge = edgeS * sampleRate;
      add(cue.atS, count, (i) => {
        const shape = min(1, i / edge, (count - i) / edge);
        return gain * shape * sin((2 * PI * hz * i) / sampleRate);
      });
    }
    const samples = cue.clip === null ? undefined : clip(cue.clip);
    if (samples) add(clipAtS(cue), samples.length, (i) => samples[i]!);
  }
  return stretch;
}
