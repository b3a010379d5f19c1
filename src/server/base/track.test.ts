import { WebVTTParser } from 'webvtt-parser';
import { mixStretch, mixTrack } from '@/core/court/calls/mix';
import { readWav } from '@/formats/wav';
import { practiceTrack } from './track';
import { problem, value } from '../testing/scratch';

const wishes = {
  format: 'wav',
  rounds: '2',
  workS: '20',
  restS: '10',
  set: 'sides',
  everyS: '2',
  moveS: '1',
  seed: '7',
};
const bytes = async (more: object = {}) => {
  const file = value(await practiceTrack({ ...wishes, ...more }));
  const whole = Buffer.concat([...file.pieces()]);
  expect(whole).toHaveLength(file.bytes!);
  return whole;
};
const text = async (more: object = {}) => (await bytes({ format: 'vtt', ...more })).toString('utf8');
const wav = async (more: object = {}) => readWav(await bytes(more));

/** Moments at which sound begins after a tenth of a second of quiet, seconds. */
function onsets({ sampleRate, samples }: { sampleRate: number; samples: Float32Array }): number[] {
  const found: number[] = [];
  let quiet = sampleRate;
  for (let i = 0; i < samples.length; i++) {
    if (Math.abs(samples[i]!) > 0.01) {
      if (quiet > 0.1 * sampleRate) found.push(i / sampleRate);
      quiet = 0;
    } else quiet += 1;
  }
  return found;
}

test('a beat of sixty a minute begins every second to within 2 ms, over two minutes', async () => {
  const track = await wav({ set: '', tempoPerMin: '60', rounds: '1', workS: '120' });
  expect(track.samples.length / track.sampleRate).toBeCloseTo(125, 1);
  // From the fifth second to the 109th.
  const heard = onsets(track).filter((atS) => atS > 4.5 && atS < 110);
  expect(heard).toHaveLength(105);
  for (const [index, atS] of heard.entries()) expect(Math.abs(atS - (5 + index))).toBeLessThan(0.002);
});

test('the calls are heard when the words say so', async () => {
  const track = await wav();
  const { cues, errors } = new WebVTTParser().parse(await text(), 'metadata');
  expect(errors).toEqual([]);
  const calls = cues.filter((cue) => cue.text === 'left' || cue.text === 'right');
  expect(calls).toHaveLength(20);
  expect(calls.filter((cue) => cue.text === 'left')).toHaveLength(10);
  const heard = onsets(track);
  for (const call of calls.slice(1)) {
    const nearest = Math.min(...heard.map((atS) => Math.abs(atS - call.startTime)));
    // A spoken word swells: it passes the threshold within some hundredths.
    expect(nearest).toBeLessThan(0.08);
  }
});

test('the same wishes give the same track, another seed other calls', async () => {
  expect(await text({ seed: '7' })).toBe(await text({ seed: '7' }));
  expect(await text({ seed: '7' })).not.toBe(await text({ seed: '8' }));
  expect((await bytes()).equals(await bytes())).toBe(true);
});

test('half an hour is made piece by piece, each of some hundred kilobytes', async () => {
  const file = value(await practiceTrack({ ...wishes, rounds: '3', workS: '595', restS: '5' }));
  expect(file.bytes).toBeGreaterThan(57_000_000);
  const pieces = file.pieces()[Symbol.iterator]();
  for (let n = 0; n < 20; n++) {
    const { value: piece } = pieces.next() as { value: Uint8Array };
    expect(piece.length).toBeLessThanOrEqual(320_000);
  }
});

test('a track in pieces is the whole track, sample for sample', async () => {
  const cues = Array.from({ length: 40 }, (_, n) => ({
    atS: 0.37 * n,
    tone: n % 3 === 0 ? null : ('beat' as const),
    clip: n % 4 === 0 ? 'left' : null,
    call: null,
  }));
  const samples = Float32Array.from({ length: 700 }, (_, i) => (i % 13) / 13);
  const clip = () => samples;
  const whole = mixTrack(cues, 12, 1000, clip);
  for (const length of [97, 999, 12_000]) {
    const again: number[] = [];
    for (let from = 0; from < whole.length; from += length)
      again.push(...mixStretch(cues, from, Math.min(length, whole.length - from), 1000, clip));
    expect(Float32Array.from(again)).toEqual(whole);
  }
});

test.each([
  [{ format: 'mp3' }, 'Format must be wav or vtt'],
  [{ set: 'shouts' }, 'Calls must be one of'],
  [{ set: '', tempoPerMin: '' }, 'would be silent'],
  [{ tempoPerMin: '900' }, 'Tempo must be from 20 to 260'],
  [{ rounds: '20', workS: '600' }, 'over 30 minutes'],
  [{ name: '../../etc' }, 'Name must be'],
  [{ workS: 'x' }, 'Work must be a number'],
  [{ seed: '-1' }, 'Seed must be'],
])('%j is refused in words', async (wrong, words) => {
  expect(problem(await practiceTrack({ ...wishes, ...wrong }))).toContain(words);
});
