import type { Cue, ToneName } from './timeline';

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

/**
 * The sound of cues as one mono track.
 * @param clip samples of a spoken clip at `sampleRate`; undefined for one that is missing, which is left out
 * @returns samples from -1 to 1, `forS` seconds long
 */
export function mixTrack(
  cues: readonly Cue[],
  forS: number,
  sampleRate: number,
  clip: (name: string) => Float32Array | undefined,
): Float32Array {
  const track = new Float32Array(Math.ceil(forS * sampleRate));
  const add = (atS: number, length: number, sample: (i: number) => number) => {
    const from = Math.round(atS * sampleRate);
    for (let i = 0; i < length && from + i < track.length; i++) track[from + i]! += sample(i);
  };
  for (const cue of cues) {
    if (cue.tone) {
      const { hz, seconds, gain } = tones[cue.tone];
      const length = Math.round(seconds * sampleRate);
      const edge = edgeS * sampleRate;
      add(cue.atS, length, (i) => {
        const shape = Math.min(1, i / edge, (length - i) / edge);
        return gain * shape * Math.sin((2 * Math.PI * hz * i) / sampleRate);
      });
    }
    const samples = cue.clip === null ? undefined : clip(cue.clip);
    if (samples) add(clipAtS(cue), samples.length, (i) => samples[i]!);
  }
  return track;
}
