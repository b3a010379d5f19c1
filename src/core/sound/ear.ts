import { heardCatches } from './count/catches';
import { heardClaps } from './count/claps';
import { evennessCm } from './count/evenness';
import { heardTurns } from './count/turns';
import type { Deaf, Taught } from './count/taken';
import { conditionsOf, type Conditions } from './conditions';
import { echoesOf, type Echo } from './echo';
import type { Heard, Hearing, Lesson } from './hearing';
import { ImpactFinder, type Impact } from './impacts';
import { otherSideLabel } from './others';
import type { SoundKind } from './kinds';
import { examplesWanted, learn, notToldApart, type Learnt } from './learn';

/** A lesson ends by itself with so many that are alike: more would not make it surer. Ours. */
const examplesEnough = 8;

/** An ear: it is given sound as it comes, is taught what to listen for, and says what it heard. Nothing of the sound is kept. */
export class Ear {
  readonly #finder: ImpactFinder;
  readonly #rate: number;
  #samples = 0;
  #levelDb = -Infinity;
  readonly #learnt = new Map<string, Learnt>();
  #echoes: Echo[] = [];
  #lesson: { label: string; kind: SoundKind; impacts: Impact[] } | null = null;
  #listens: { hearing: Hearing; impacts: Impact[] } | null = null;
  #deaf: Deaf[] = [];

  constructor(rate: number) {
    this.#rate = rate;
    this.#finder = new ImpactFinder(rate);
  }

  /** Seconds of sound so far. */
  get atS(): number {
    return this.#samples / this.#rate;
  }

  get noiseDb(): number {
    return this.#finder.noiseDb;
  }

  /** Takes the next samples; true when something was hit. */
  take(samples: Float32Array): boolean {
    this.#samples += samples.length;
    let sum = 0;
    for (const sample of samples) sum += sample * sample;
    this.#levelDb = 10 * Math.log10(sum / Math.max(1, samples.length) + 1e-12);
    const found = this.#finder.push(samples);
    this.#lesson?.impacts.push(...found);
    this.#listens?.impacts.push(...found);
    return found.length > 0;
  }

  /** How loud the last samples were, dB against the loudest there can be. */
  get levelDb(): number {
    return this.#levelDb;
  }

  /** From now on what is hit is an example of a sound. */
  teach(label: string, kind: SoundKind): void {
    this.#listens = null;
    this.#lesson = { label, kind, impacts: [] };
    this.#learnt.delete(label);
  }

  /** How the lesson goes; null when none is given. With enough examples that are alike it is learnt. */
  lesson(): Lesson | null {
    if (!this.#lesson) return null;
    const { label, kind, impacts } = this.#lesson;
    const learnt = learn(label, kind, impacts);
    if (learnt) {
      this.#learnt.set(label, learnt);
      const echoes = echoesOf(impacts);
      if (echoes.length > 0) this.#echoes = echoes;
      if (learnt.examples >= examplesEnough) this.#lesson = null;
    }
    return { label, heard: impacts.length, wanted: examplesWanted, learnt: learnt !== null };
  }

  endLesson(): void {
    this.#lesson = null;
  }

  /** What was taught, by its label. */
  get knows(): readonly string[] {
    return [...this.#learnt.keys()];
  }

  forget(label: string): void {
    if (this.#lesson?.label === label) this.#lesson = null;
    this.#learnt.delete(label);
  }

  /** From now on what was taught is counted. */
  listen(hearing: Hearing): void {
    this.#lesson = null;
    this.#deaf = [];
    this.#listens = { hearing, impacts: [] };
  }

  /** This device makes a sound of its own in a stretch, seconds of the sound. */
  deafIn(deaf: Deaf): void {
    this.#deaf.push(deaf);
  }

  stop(): void {
    this.#listens = null;
    this.#lesson = null;
  }

  /** What was heard since it listens; null when it does not. Times are seconds of the whole sound. */
  heard(): Heard | null {
    if (!this.#listens) return null;
    const { hearing, impacts } = this.#listens;
    const taught: Taught = { learnt: [...this.#learnt.values()], echoes: this.#echoes };
    const asked = { ...taught, deaf: this.#deaf, untilS: this.atS };
    if (hearing.by === 'claps') return { by: 'claps', ...heardClaps(impacts, asked) };
    if (hearing.by === 'catches')
      return { by: 'catches', ...heardCatches(impacts, taught, 'strings', this.#deaf) };
    const { counts, ends, periodS, varies } = hearing;
    const sides = this.#learnt.has(otherSideLabel) ? [counts, otherSideLabel] : [counts];
    const rows = heardTurns(impacts, {
      ...{ ...asked, counts: sides, ends: ends ? [ends] : [], periodS, varies },
    });
    const turns = sides.length > 1 ? { inTurn: rows.inTurn, twice: rows.twice } : null;
    return { by: 'rows', rows, evennessCm: evennessCm(rows.rows), turns };
  }

  /** What stands in the way of counting, the worst first. */
  conditions(): Conditions[] {
    const heard = this.#listens ?? this.#lesson;
    return conditionsOf({
      levelDb: this.levelDb,
      noiseDb: this.noiseDb,
      forS: this.atS,
      learnt: [...this.#learnt.values()],
      impacts: heard?.impacts ?? [],
      confused: notToldApart([...this.#learnt.values()]).length > 0,
    });
  }
}
