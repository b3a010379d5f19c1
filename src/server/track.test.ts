import { WebVTTParser } from 'webvtt-parser';
import { readWav } from '@/formats/wav';
import { practiceTrack } from './track';
import { problem, value } from './testing/scratch';

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
const wav = async (more: object = {}) =>
  readWav(value(await practiceTrack({ ...wishes, ...more })).body as Uint8Array);

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
  const { body } = value(await practiceTrack({ ...wishes, format: 'vtt' }));
  const { cues, errors } = new WebVTTParser().parse(body as string, 'metadata');
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
  const words = async (seed: string) => value(await practiceTrack({ ...wishes, format: 'vtt', seed })).body;
  expect(await words('7')).toBe(await words('7'));
  expect(await words('7')).not.toBe(await words('8'));
  const bytes = async () => Buffer.from(value(await practiceTrack(wishes)).body as Uint8Array);
  expect((await bytes()).equals(await bytes())).toBe(true);
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
