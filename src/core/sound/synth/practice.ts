import { wholeBetween } from '../../base/random';
import type { Hearing } from '../hearing';
import type { SoundKind } from '../kinds';
import {
  madeCatches,
  madeClaps,
  madeRows,
  madeWall,
  taught,
  thingsOf,
  type Blow,
  type Things,
} from './drills';
import { sceneWave, type Room } from './scene';
import { catchGrades } from '../count/catches';

/** How much softer or louder than the usual each is, dB. */
const overDb: Partial<Readonly<Record<SoundKind, number>>> = { floor: -3, catch: -4, wall: -2 };

const room: Room = { noise: 'babble', snrDb: 22, echoS: 0.4 };

/** A made-up child in a made-up hall: what stands in for a microphone where one only wants to try. */
export class PracticeRoom {
  readonly #things: Things;
  #scenes = 0;

  /** @param rate samples a second */
  constructor(
    readonly seed: number,
    readonly rate: number,
  ) {
    this.#things = thingsOf(seed);
  }

  /** Bounces of one sound, well apart, with a while of nobody before. */
  teaches(kind: SoundKind): Float32Array {
    return this.#wave(taught(this.#things, kind, overDb[kind] ?? 0));
  }

  /** Nobody does anything for so long. */
  nobody(seconds: number): Float32Array {
    return this.#wave({ seconds, blows: [] });
  }

  /** A drill, and how many touches, claps or catches it really has. */
  drill(hearing: Hearing): { readonly wave: Float32Array; readonly truth: readonly number[] } {
    const things = this.#things;
    const number = (low: number, high: number) => wholeBetween(things.random, low, high);
    if (hearing.by === 'claps') {
      const tosses = [number(1, 3), number(2, 4), number(3, 5)];
      return { wave: this.#wave(madeClaps(things, tosses)), truth: tosses };
    }
    if (hearing.by === 'catches') {
      const grades = Array.from({ length: 6 }, () => catchGrades[number(0, 2)]!);
      return { wave: this.#wave(madeCatches(things, grades)), truth: [grades.length] };
    }
    if (hearing.counts === 'wall') {
      const hits = number(6, 12);
      const cycleS = Math.sqrt(hearing.periodS.least * hearing.periodS.most);
      return { wave: this.#wave(madeWall(things, hits, cycleS)), truth: [hits] };
    }
    const rows = [number(8, 14), number(12, 24)];
    return { wave: this.#wave(madeRows(things, rows, undefined, hearing.counts)), truth: rows };
  }

  #wave({ seconds, blows }: { readonly seconds: number; readonly blows: readonly Blow[] }): Float32Array {
    this.#scenes += 1;
    return sceneWave({
      ...room,
      rate: this.rate,
      seed: this.seed * 100 + this.#scenes,
      seconds,
      struck: blows,
    });
  }
}
