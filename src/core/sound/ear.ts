import { heardCatches } from './count/catches';
import { heardClaps } from './count/claps';
import { evennessCm } from './count/evenness';
import { heardTurns } from './count/turns';
import type { Deaf, Taught } from './count/taken';
import { conditionsOf, type Conditions } from './conditions';
import { echoesOf, type Echo } from './echo';
import type { Heard, Hearing, Lesson } from './hearing';
import { ImpactFinder, type Impact } from './impacts';
import { NoiseMeter, withoutNoise } from './noise-meter';
import { othersAre, otherSideLabel } from './others';
import type { SoundKind } from './kinds';
import { examplesWanted, learn, notToldApart, type Learnt } from './learn';

/** So much softer than what counts a ball comes to the floor, dB: ours, as the stand-in makes it. */
const floorMayDb = 3;

/** A lesson ends by itself with so many that are alike: more would not make it surer. Ours. */
const examplesEnough = 8;

/** An ear: it is given sound as it comes, is taught what to listen for, and says what it heard. Nothing of the sound is kept. */
export class Ear {
  readonly #finder: ImpactFinder;
  readonly #noise: NoiseMeter;
  readonly #rate: number;
  #samples = 0;
  #levelDb = -Infinity;
  readonly #learnt = new Map<string, Learnt>();
  #echoes: Echo[] = [];
  /** How loud each sound was by itself when it was learnt, dB. */
  readonly #taughtDb = new Map<string, number>();
  #lesson: { label: string; kind: SoundKind; impacts: Impact[]; sinceS: number } | null = null;
  #listens: { hearing: Hearing; impacts: Impact[] } | null = null;
  #deaf: Deaf[] = [];

  constructor(rate: number) {
    this.#rate = rate;
    this.#finder = new ImpactFinder(rate);
    this.#noise = new NoiseMeter(rate);
  }

  /** Seconds of sound so far. */
  get atS(): number {
    return this.#samples / this.#rate;
  }

  get noiseDb(): number {
    return this.#noise.noiseDb;
  }

  /** Takes the next samples; true when something was hit. */
  take(samples: Float32Array): boolean {
    this.#samples += samples.length;
    let sum = 0;
    for (const sample of samples) sum += sample * sample;
    this.#levelDb = 10 * Math.log10(sum / Math.max(1, samples.length) + 1e-12);
    const found = this.#finder.push(samples);
    this.#noise.take(samples);
    for (const { atS } of found) this.#noise.blow(atS);
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
    this.#taughtDb.delete(label);
    this.#lesson = { label, kind, impacts: [], sinceS: this.atS };
    this.#noise.forgetLoudest();
    this.#learnt.delete(label);
  }

  /** How the lesson goes; null when none is given. With enough examples that are alike it is learnt. */
  lesson(): Lesson | null {
    if (!this.#lesson) return null;
    const { label, kind, impacts } = this.#lesson;
    const learnt = learn(label, kind, impacts);
    if (learnt) {
      this.#learnt.set(label, learnt);
      this.#taughtDb.set(label, withoutNoise(learnt.levelDb, this.noiseDb));
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
    this.#taughtDb.delete(label);
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
      ...asked,
      counts: sides,
      ends: ends ? [ends] : [],
      periodS,
      varies,
    });
    const turns = sides.length > 1 ? { inTurn: rows.inTurn, twice: rows.twice } : null;
    return { by: 'rows', rows, evennessCm: evennessCm(rows.rows), turns };
  }

  /** How loud what counts is by itself, dB. A floor that only ends rows may be softer: a pause ends them as well. */
  #countedDb(): number[] {
    const own = [...this.#taughtDb].filter(([label]) => !othersAre(label));
    return own.map(([label, db]) => (label === 'floor' && own.length > 1 ? db + floorMayDb : db));
  }

  /** What stands in the way of counting, the worst first. */
  conditions(): Conditions[] {
    const heard = this.#listens ?? this.#lesson;
    return conditionsOf({
      levelDb: this.levelDb,
      noiseDb: this.noiseDb,
      forS: this.atS,
      taughtDb: this.#countedDb(),
      lesson:
        this.#lesson && !this.#learnt.has(this.#lesson.label)
          ? { forS: this.atS - this.#lesson.sinceS, loudestDb: this.#noise.loudestDb }
          : null,
      impacts: heard?.impacts ?? [],
      confused: notToldApart([...this.#learnt.values()]).length > 0,
    });
  }
}
