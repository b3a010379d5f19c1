import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { readWav } from '@/formats/wav';
import { readLine } from '@/core/movement/sequence/line';
import { phasesOf } from '../phases';
import {
  calledShot,
  sequenceCues,
  sequenceWords,
  spokenWordS,
  wordsThatFit,
  type SequencePlan,
} from './sequence-cues';
import { soundTimeline } from './timeline';
import { trackCues } from './track-cues';

const plan: SequencePlan = {
  sport: 'table tennis',
  lines: ['bh corner, fh pivot out loop topspin cross', 'fh corner, fh middle'],
  rounds: [
    { line: 0, perMin: 20 },
    { line: 1, perMin: 30 },
  ],
  way: 'even',
};
const phases = phasesOf({ kind: 'timed', rounds: 3, workS: 30, restS: 10 }, 30);
const cues = sequenceCues(phases, plan);
const calls = cues.filter(({ call }) => call !== null);
const worksAt = phases.flatMap(({ kind }, n) =>
  kind === 'work' ? [phases.slice(0, n).reduce((sum, { seconds }) => sum + seconds, 0)] : [],
);

test('a round has its line at its tempo, and rounds begin again', () => {
  const from = (n: number) =>
    calls.filter(({ atS }) => atS >= worksAt[n]! && atS < worksAt[n]! + 30).map(({ call }) => call!.word);
  expect(from(0)).toHaveLength(10);
  expect(from(0).slice(0, 3)).toEqual(['backhand corner', 'forehand pivot', 'backhand corner']);
  expect(from(1)).toHaveLength(15);
  expect(new Set(from(1))).toEqual(new Set(['forehand corner', 'forehand middle']));
  expect(from(2)).toEqual(from(0));
  expect(calls[1]!.atS - calls[0]!.atS).toBeCloseTo(3, 9);
  expect(calls.map(({ call }) => call!.number)).toEqual(calls.map((_, n) => n + 1));
  // The shape is the side of the racket, so that it is right for either hand.
  expect(calls.slice(0, 2).map(({ call }) => call!.sign)).toEqual(['■', '●']);
  expect(calls[1]!.call!.more).toBe('loop, deep, topspin, to cross');
});

test('as many words are spoken as there is time for, one at least, and none runs into the next stroke', () => {
  const shots = readLine(plan.lines[0]!, 'table tennis');
  const { spoken } = calledShot(shots.ok ? shots.value[1]! : (undefined as never), 'table tennis');
  expect(spoken).toEqual(['pivot', 'forehand', 'deep', 'loop', 'topspin']);
  expect(wordsThatFit(spoken, 3.2)).toHaveLength(5);
  expect(wordsThatFit(spoken, 1.5)).toEqual(['pivot', 'forehand']);
  expect(wordsThatFit(spoken, 0.4)).toEqual(['pivot']);
  const spokenCues = cues.filter(({ clip }) => clip !== null);
  for (const [n, cue] of spokenCues.slice(1).entries())
    expect(cue.atS - spokenCues[n]!.atS).toBeGreaterThanOrEqual(spokenWordS - 1e-9);
});

test('every word that can be said has a clip, no longer than a word may take', () => {
  for (const word of sequenceWords) {
    const file = path.join('public', 'calls', `${word}.wav`);
    expect([word, existsSync(file)]).toEqual([word, true]);
    const { samples, sampleRate } = readWav(readFileSync(file));
    expect(samples.length / sampleRate).toBeLessThan(spokenWordS);
  }
  const said = new Set(cues.flatMap(({ clip }) => (clip === null ? [] : [clip])));
  expect([...said].filter((word) => !sequenceWords.includes(word))).toEqual([]);
});

test('in the block’s timeline they stand beside the clock’s signals, and in the captions with all there is to them', () => {
  const all = soundTimeline(phases, {
    tempoPerMin: null,
    accentEvery: 0,
    calls: null,
    called: cues,
    seed: 1,
  });
  expect(all.filter(({ call }) => call !== null)).toHaveLength(calls.length);
  expect(all.filter(({ tone }) => tone === 'go').length).toBeGreaterThan(0);
  expect(all.map(({ atS }) => atS)).toEqual([...all.map(({ atS }) => atS)].sort((a, b) => a - b));
  const shown = trackCues(phases, all);
  expect(shown.map(({ text }) => text)).toContain('forehand pivot: loop, deep, topspin, to cross');
  for (const [n, one] of shown.slice(1).entries())
    expect(one.fromS).toBeGreaterThanOrEqual(shown[n]!.untilS - 1e-9);
});

test('no stroke is called outside the work, whatever the tempo', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 6, max: 90 }),
      fc.constantFrom('even' as const, 'slow, then fast' as const),
      (perMin, way) => {
        const made = sequenceCues(phases, { ...plan, rounds: [{ line: 0, perMin }], way });
        for (const { call, atS } of made)
          if (call) expect(worksAt.some((at) => atS >= at && atS < at + 30)).toBe(true);
      },
    ),
  );
});

test('a line that cannot be read is silent, and nothing falls over', () => {
  expect(
    sequenceCues(phases, { ...plan, lines: ['nothing of sense'], rounds: [{ line: 0, perMin: 20 }] }),
  ).toEqual([]);
});
