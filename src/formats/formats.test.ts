import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { WaveFile } from 'wavefile';
import { WebVTTParser } from 'webvtt-parser';
import { callSets, clipName } from '@/core/counting/call-sets';
import { sequenceWords } from '@/core/court/calls/sequence-cues';
import { readWav, writeWav } from './wav';
import { vttTime, writeVtt } from './webvtt';

const sine = (seconds: number, sampleRate = 16_000) =>
  Float32Array.from(
    { length: seconds * sampleRate },
    (_, i) => 0.5 * Math.sin((2 * Math.PI * 440 * i) / sampleRate),
  );

describe('WAV', () => {
  test('is read back by another reader (wavefile), sample for sample', () => {
    const samples = sine(0.25);
    const wav = new WaveFile(writeWav({ sampleRate: 16_000, samples }));
    expect(wav.container).toBe('RIFF');
    expect(wav.fmt).toMatchObject({ numChannels: 1, sampleRate: 16_000, bitsPerSample: 16, audioFormat: 1 });
    const read = wav.getSamples(false) as unknown as Float64Array;
    expect(read).toHaveLength(samples.length);
    for (let i = 0; i < samples.length; i += 97) expect(read[i]! / 32767).toBeCloseTo(samples[i]!, 4);
  });

  test('and what another writer made is read here', () => {
    const wav = new WaveFile();
    wav.fromScratch(1, 8000, '16', Int16Array.from([0, 16384, -32767, 32767]));
    const { sampleRate, samples } = readWav(wav.toBuffer());
    expect(sampleRate).toBe(8000);
    expect([...samples].map((sample) => Math.round(sample * 100) / 100)).toEqual([0, 0.5, -1, 1]);
  });

  test('there and back is the same, and what is too loud is cut off', () => {
    fc.assert(
      fc.property(fc.float32Array({ noNaN: true, min: -3, max: 3, maxLength: 200 }), (samples) => {
        const back = readWav(writeWav({ sampleRate: 8000, samples })).samples;
        expect(back).toHaveLength(samples.length);
        for (const [i, sample] of samples.entries())
          expect(Math.abs(back[i]! - Math.max(-1, Math.min(1, sample)))).toBeLessThan(1 / 32767);
      }),
    );
  });

  const good = writeWav({ sampleRate: 8000, samples: sine(0.01, 8000) });
  const changed = (at: number, value: number) => Object.assign(good.slice(), { [at]: value });
  test.each([
    ['nothing', new Uint8Array(), 'not a WAV file'],
    ['another file', Uint8Array.from({ length: 60 }, (_, i) => i), 'not a WAV file'],
    ['two channels', changed(22, 2), 'with one channel'],
    ['eight bits', changed(34, 8), '16-bit'],
    ['no sound', good.slice(0, 36), 'data chunk is missing'],
  ])('%s is refused in words', (_what, bytes, words) => expect(() => readWav(bytes)).toThrow(words));

  test('every call has its clip, and every clip begins at once and lasts under a second and a half', () => {
    const folder = path.join(process.cwd(), 'public', 'calls');
    const wanted = new Set(
      Object.values(callSets).flatMap((calls) => calls.map((call) => `${clipName(call.word)}.wav`)),
    );
    for (const word of sequenceWords) wanted.add(`${clipName(word)}.wav`);
    for (const name of ['last-ten-seconds.wav', 'ready.wav', 'rest.wav', 'time.wav']) wanted.add(name);
    expect(
      readdirSync(folder)
        .filter((file) => file.endsWith('.wav'))
        .sort(),
    ).toEqual([...wanted].sort());
    for (const name of wanted) {
      const { sampleRate, samples } = readWav(readFileSync(path.join(folder, name)));
      expect([name, sampleRate]).toEqual([name, 16_000]);
      expect(samples.length / sampleRate).toBeLessThan(1.5);
      const loud = samples.findIndex((sample) => Math.abs(sample) > 0.02);
      expect([name, loud / sampleRate < 0.06]).toEqual([name, true]);
    }
  });
});

describe('WebVTT', () => {
  const cues = [
    { fromS: 0, untilS: 3, text: 'Get ready' },
    { fromS: 3, untilS: 4.5, text: 'left' },
    { fromS: 3725.25, untilS: 3726, text: 'R & <b> --> "so"' },
    { fromS: 9, untilS: 9, text: 'no time at all' },
  ];

  test('is read back by the W3C’s own parser without a fault', () => {
    const read = new WebVTTParser().parse(writeVtt('Carry: to the line', cues), 'metadata');
    expect(read.errors).toEqual([]);
    expect(read.cues.map((cue) => [cue.startTime, cue.endTime])).toEqual([
      [0, 3],
      [3, 4.5],
      [3725.25, 3726],
    ]);
    expect(read.cues[1]!.text).toBe('left');
    expect(read.cues[2]!.text).toBe('R &amp; &lt;b&gt; --&gt; "so"');
  });

  test.each([
    [0, '00:00:00.000'],
    [65.25, '00:01:05.250'],
    [59.9996, '00:01:00.000'],
    [3725.001, '01:02:05.001'],
    [-1, '00:00:00.000'],
  ])('%d s is %s', (seconds, text) => expect(vttTime(seconds)).toBe(text));
});
