import type { Conditions } from './conditions';
import type { Deaf } from './count/taken';
import { Ear } from './ear';
import type { Heard, Hearing, Lesson } from './hearing';
import type { SoundKind } from './kinds';

/** How an ear in a worker is opened: with the port a microphone's sound comes through, or the seed of a made-up one. */
export interface EarOpen<Port> {
  readonly kind: 'open';
  /** Samples a second. */
  readonly rate: number;
  readonly port?: Port;
  readonly practice?: number;
}

/** What an ear is asked to do. */
export type EarJob =
  | { readonly kind: 'teach'; readonly label: string; readonly sound: SoundKind }
  | { readonly kind: 'end lesson' }
  | { readonly kind: 'forget'; readonly label: string }
  | { readonly kind: 'listen'; readonly hearing: Hearing }
  | { readonly kind: 'deaf'; readonly deaf: Deaf }
  | { readonly kind: 'stop' };

/** How it stands. */
export interface EarNews {
  /** Seconds of sound so far. */
  readonly atS: number;
  readonly levelDb: number;
  readonly noiseDb: number;
  readonly knows: readonly string[];
  readonly lesson: Lesson | null;
  readonly heard: Heard | null;
  readonly conditions: readonly Conditions[];
  /** What a made-up drill really had; null from a real microphone. */
  readonly truth?: readonly number[] | null;
}

/** How it stands is said this often, seconds, and whenever something is hit. Ours: a level that moves smoothly. */
const tellsEveryS = 0.1;
/** What was heard is counted anew with every hit, and else this often, seconds: only a pause can end a row meanwhile. Ours. */
const countsEveryS = 0.5;

/** An ear that is asked and given sound by messages: all that a worker has to pass on. */
export class EarAtWork {
  readonly #ear: Ear;
  #toldS = -Infinity;
  #counted: { readonly heard: Heard | null; readonly atS: number } | null = null;

  /** @param rate samples a second */
  constructor(rate: number) {
    this.#ear = new Ear(rate);
  }

  ask(job: EarJob): EarNews {
    const ear = this.#ear;
    if (job.kind === 'teach') ear.teach(job.label, job.sound);
    else if (job.kind === 'end lesson') ear.endLesson();
    else if (job.kind === 'forget') ear.forget(job.label);
    else if (job.kind === 'listen') ear.listen(job.hearing);
    else if (job.kind === 'deaf') ear.deafIn(job.deaf);
    else ear.stop();
    this.#counted = null;
    return this.#news();
  }

  /** The next samples; news where something was hit, and every tenth of a second. */
  take(samples: Float32Array): EarNews | null {
    const hit = this.#ear.take(samples);
    if (hit) this.#counted = null;
    if (!hit && this.#ear.atS - this.#toldS < tellsEveryS) return null;
    this.#toldS = this.#ear.atS;
    return this.#news();
  }

  #news(): EarNews {
    const ear = this.#ear;
    const lesson = ear.lesson();
    if (!this.#counted || ear.atS - this.#counted.atS >= countsEveryS)
      this.#counted = { heard: ear.heard(), atS: ear.atS };
    return {
      atS: ear.atS,
      levelDb: ear.levelDb,
      noiseDb: ear.noiseDb,
      lesson,
      knows: ear.knows,
      heard: this.#counted.heard,
      conditions: ear.conditions(),
    };
  }
}
