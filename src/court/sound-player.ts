import { clipAtS, edgeS, tones } from '@/core/court/calls/mix';
import type { Cue } from '@/core/court/calls/timeline';

/** What the player needs of the outside. Times in seconds on the sound card's own clock. */
export interface SoundPorts {
  /** The sound card's clock. */
  readonly now: () => number;
  /** Puts a cue on the sound card at a moment of its clock; returns how to take it back. */
  readonly play: (cue: Cue, at: number) => () => void;
  /** Calls again and again until it is told to stop; may be late. */
  readonly every: (work: () => void, ms: number) => () => void;
}

/** How far ahead cues are handed to the sound card, seconds: a page may be busy for as long and no beat is late. Ours. */
export const lookAheadS = 3;
const everyMs = 250;
/** A cue that is later than this is left out: two beats at once are worse than one missed. Ours. */
const tooLateS = 0.05;

/**
 * Plays a timeline of cues on the sound card's clock. A timer only hands over what is due in the next seconds; when a
 * cue sounds is the card's affair, so a busy page does not shake the beat.
 */
export class SoundPlayer {
  readonly #ports: SoundPorts;
  readonly #pending = new Map<Cue, { at: number; takeBack: () => void }>();
  #stop: (() => void) | null = null;

  constructor(ports: SoundPorts) {
    this.#ports = ports;
  }

  /**
   * Starts (or restarts) at a place in the timeline.
   * @param cues in order of time
   * @param elapsedS running seconds of the block at this moment
   */
  start(cues: readonly Cue[], elapsedS: number): void {
    this.stop();
    const zero = this.#ports.now() - elapsedS;
    let next = cues.findIndex((cue) => cue.atS >= elapsedS);
    if (next === -1) return;
    const hand = () => {
      const now = this.#ports.now();
      for (const [cue, { at }] of this.#pending) if (at < now - 2) this.#pending.delete(cue);
      for (let cue = cues[next]; cue && zero + cue.atS <= now + lookAheadS; cue = cues[++next]) {
        const at = zero + cue.atS;
        if (at >= now - tooLateS)
          this.#pending.set(cue, { at, takeBack: this.#ports.play(cue, Math.max(at, now)) });
      }
      if (next >= cues.length) this.#stopTimer();
    };
    this.#stop = this.#ports.every(hand, everyMs);
    hand();
  }

  /** Takes back what has not sounded yet. */
  stop(): void {
    this.#stopTimer();
    for (const { takeBack } of this.#pending.values()) takeBack();
    this.#pending.clear();
  }

  #stopTimer(): void {
    this.#stop?.();
    this.#stop = null;
  }
}

/** The part of Web Audio that is used, so that a test can stand in for it. */
export type SoundContext = Pick<
  AudioContext,
  'currentTime' | 'createOscillator' | 'createGain' | 'createBufferSource' | 'destination'
>;

/** Plays cues with Web Audio: tones from oscillators, words from clips that have been decoded. */
export function webAudioPlay(
  context: SoundContext,
  clip: (name: string) => AudioBuffer | undefined,
): SoundPorts['play'] {
  return (cue, at) => {
    const nodes: AudioNode[] = [];
    if (cue.tone) {
      const { hz, seconds, gain: loud } = tones[cue.tone];
      const oscillator = context.createOscillator();
      const gain = context.createGain();
      oscillator.frequency.value = hz;
      gain.gain.setValueAtTime(0, at);
      gain.gain.linearRampToValueAtTime(loud, at + edgeS);
      gain.gain.setValueAtTime(loud, at + seconds - edgeS);
      gain.gain.linearRampToValueAtTime(0, at + seconds);
      oscillator.connect(gain);
      gain.connect(context.destination);
      oscillator.start(at);
      oscillator.stop(at + seconds);
      nodes.push(oscillator, gain);
    }
    const buffer = cue.clip === null ? undefined : clip(cue.clip);
    if (buffer) {
      const source = context.createBufferSource();
      source.buffer = buffer;
      source.connect(context.destination);
      source.start(at + clipAtS(cue) - cue.atS);
      nodes.push(source);
    }
    return () => {
      for (const node of nodes) node.disconnect();
    };
  };
}
