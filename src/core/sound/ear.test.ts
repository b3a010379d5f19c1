import type { Conditions } from './conditions';
import { EarAtWork, type EarNews } from './job';
import { otherSideLabel, othersLabel } from './others';
import { madeTurns, taught, thingsOf } from './synth/drills';
import { sceneWave } from './synth/scene';
import { quietRoom } from './testing/heard';
import type { Hearing } from './hearing';
import { PracticeRoom } from './synth/practice';
import { noiseKinds, noiseWave, type NoiseKind } from './synth/noise';
import { seededRandom } from '../base/random';

const rate = 48_000;
const piece = 2048;
const rows: Hearing = {
  by: 'rows',
  counts: 'strings',
  ends: 'floor',
  periodS: { least: 0.2, most: 1.3 },
};

/** Hears a sound as a worker would, piece by piece; the last news. */
function hears(work: EarAtWork, wave: Float32Array): EarNews {
  let last: EarNews | null = null;
  for (let at = 0; at + piece <= wave.length; at += piece)
    last = work.take(wave.slice(at, at + piece)) ?? last;
  return last!;
}

test('taught by five of a sound, it counts what it hears, as it goes', () => {
  const work = new EarAtWork(rate);
  const room = new PracticeRoom(7, rate);
  hears(work, room.nobody(3));
  for (const sound of ['strings', 'floor'] as const) {
    work.ask({ kind: 'teach', label: sound, sound });
    const { lesson, knows } = hears(work, room.teaches(sound));
    expect(lesson?.learnt ?? true).toBe(true);
    expect(knows).toContain(sound);
    work.ask({ kind: 'end lesson' });
  }
  work.ask({ kind: 'listen', hearing: rows });
  const { wave, truth } = room.drill(rows);
  const { heard, conditions } = hears(work, wave);
  expect(conditions.filter(({ stops }) => stops)).toEqual([]);
  expect(heard?.by).toBe('rows');
  const found = heard?.by === 'rows' ? heard.rows.rows.filter(({ touches }) => touches.length > 1) : [];
  expect(found).toHaveLength(truth.length);
  for (const [at, { howMany }] of found.entries())
    expect(Math.abs(howMany.count - truth[at]!)).toBeLessThanOrEqual(1);
  expect(work.ask({ kind: 'stop' }).heard).toBeNull();
});

test('fewer than five teach nothing, and what was forgotten is not known', () => {
  const work = new EarAtWork(rate);
  const room = new PracticeRoom(8, rate);
  work.ask({ kind: 'teach', label: 'strings', sound: 'strings' });
  // Three seconds of nobody and three bounces.
  const few = hears(work, room.teaches('strings').slice(0, Math.round(4.7 * rate)));
  expect(few.lesson).toMatchObject({ learnt: false, wanted: 5 });
  expect(few.knows).toEqual([]);
  work.ask({ kind: 'teach', label: 'strings', sound: 'strings' });
  expect(hears(work, room.teaches('strings')).knows).toEqual(['strings']);
  expect(work.ask({ kind: 'forget', label: 'strings' }).knows).toEqual([]);
});

test('a muted microphone and noise louder than the ball are said before anything is counted', () => {
  const muted = hears(new EarAtWork(rate), new Float32Array(2 * rate));
  expect(muted.conditions.map(({ kind }) => kind)).toEqual(['silent']);

  const work = new EarAtWork(rate);
  const room = new PracticeRoom(9, rate);
  hears(work, room.nobody(3));
  work.ask({ kind: 'teach', label: 'strings', sound: 'strings' });
  expect(hears(work, room.teaches('strings')).conditions).toEqual([]);
  const loud = noiseWave('hiss', 4, seededRandom(1), rate).map((x) => 0.2 * x);
  expect(hears(work, loud).conditions).toContainEqual(
    expect.objectContaining({ kind: 'too noisy', stops: true }),
  );
});

/** Teaches the ball and the floor in a room of some noise; what is said of it before it counts. */
function saidBeforeItCounts(noise: NoiseKind, snrDb: number, seed: number): readonly Conditions[] {
  const work = new EarAtWork(rate);
  const things = thingsOf(seed);
  let said: readonly Conditions[] = [];
  for (const [at, sound] of (['strings', 'floor'] as const).entries()) {
    work.ask({ kind: 'teach', label: sound, sound });
    const { seconds, blows } = taught(things, sound);
    const wave = sceneWave({ noise, snrDb, echoS: 0.4, rate, seed: seed + at, seconds, struck: blows });
    said = [...said, ...hears(work, wave).conditions];
    work.ask({ kind: 'end lesson' });
  }
  return said;
}

test.each(noiseKinds)(
  'what is hit 5 dB over %s is refused before it counts, what is 20 dB over it is not',
  (noise) => {
    for (const seed of [3, 4]) {
      expect(saidBeforeItCounts(noise, 5, seed)).toContainEqual(
        expect.objectContaining({ kind: 'too noisy', stops: true }),
      );
      expect(saidBeforeItCounts(noise, 20, seed).filter(({ kind }) => kind !== 'confused')).toEqual([]);
    }
  },
);

test('a floor that nobody makes a sound on is said, and the ball that is known can be listened to all the same', () => {
  const work = new EarAtWork(rate);
  const room = new PracticeRoom(12, rate);
  work.ask({ kind: 'teach', label: 'strings', sound: 'strings' });
  hears(work, room.teaches('strings'));
  work.ask({ kind: 'end lesson' });
  work.ask({ kind: 'teach', label: 'floor', sound: 'floor' });
  expect(hears(work, room.nobody(7)).conditions).toEqual([
    expect.objectContaining({ kind: 'too noisy', stops: false }),
  ]);
});

test('two children whose balls sound the same are said to; whose do not, are told apart', () => {
  const work = new EarAtWork(rate);
  const room = new PracticeRoom(10, rate);
  const teach = (label: string, sound: 'strings' | 'frame') => {
    work.ask({ kind: 'teach', label, sound });
    return hears(work, room.teaches(sound));
  };
  teach('strings', 'strings');
  expect(teach(othersLabel, 'frame').conditions).toEqual([]);
  expect(teach(othersLabel, 'strings').conditions.map(({ kind }) => kind)).toEqual(['confused']);
});

test('two sides that sound different both count, and how often they came in turn', () => {
  const work = new EarAtWork(rate);
  const things = thingsOf(45);
  const wave = ({ seconds, blows }: ReturnType<typeof taught>, seed: number) =>
    sceneWave({ ...quietRoom, rate, seed, seconds, struck: blows });
  for (const [label, side] of [
    ['table', 'forehand'],
    [otherSideLabel, 'backhand'],
  ] as const) {
    work.ask({ kind: 'teach', label, sound: 'table' });
    hears(work, wave(taught(things, 'table', 0, side), 3));
    work.ask({ kind: 'end lesson' });
  }
  work.ask({ kind: 'listen', hearing: { ...rows, counts: 'table', ends: null } });
  const made = madeTurns(things, 16, 2);
  const { heard } = hears(work, wave({ ...made, truth: 0 }, 4));
  expect(heard).toMatchObject({ by: 'rows', turns: { inTurn: 13, twice: 2 }, rows: { all: { count: 16 } } });
});
