import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { mixStretch, trackLength } from '@/core/court/calls/mix';
import { soundTimeline } from '@/core/court/calls/timeline';
import { phasesOf, type Phase } from '@/core/court/phases';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { readWav, wavBytes, wavHeader, wavSamples } from '@/formats/wav';
import { writeVtt } from '@/formats/webvtt';
import { sequenceCues } from '@/core/court/calls/sequence-cues';
import { trackCues } from '@/core/court/calls/track-cues';
import { trackSchema, type TrackForm } from '@/schemas/track';
import { check } from '@/schemas/check';

const sampleRate = 16_000;
const clips = new Map<string, Float32Array | undefined>();

/** A spoken clip of those that ship with the app; undefined for one that is missing or cannot be read. */
async function clip(name: string): Promise<Float32Array | undefined> {
  if (!clips.has(name)) {
    const file = path.join(process.cwd(), 'public', 'calls', `${name}.wav`);
    clips.set(
      name,
      await readFile(file).then(
        (bytes) => readWav(bytes).samples,
        () => undefined,
      ),
    );
  }
  return clips.get(name);
}

/** The stretches of a practice track: counted in, then rounds of work and rest. */
export function trackPhases({
  rounds,
  workS,
  restS,
}: Pick<TrackForm, 'rounds' | 'workS' | 'restS'>): Phase[] {
  return phasesOf({ kind: 'timed', rounds, workS, restS }, workS);
}

/** A file to take away: made piece by piece as it is taken, so that it costs no more than a piece at a time. */
export interface FileToTake {
  readonly name: string;
  readonly type: string;
  /** How many there are; left out where that is not known before. */
  readonly bytes?: number;
  readonly pieces: () => Iterable<Uint8Array>;
}

/** One piece of a track is so long, seconds: some milliseconds of work. */
const pieceS = 10;
/** Quiet after the last signal has died away, seconds. */
const tailS = 2;

/**
 * A practice track to take home: the beat and the calls of a block as a sound file, or its cues as a WebVTT file.
 * The same wishes and seed give the same track, byte for byte.
 */
export async function practiceTrack(input: unknown): Promise<Outcome<FileToTake>> {
  const checked = check(trackSchema, input);
  if (!checked.ok) return checked;
  const form = checked.value;
  if (form.tempoPerMin === null && form.set === null && form.sequence === null)
    return refused('tempoPerMin', 'The track would be silent: give it a beat or calls.');
  const phases = trackPhases(form);
  const forS = phases.reduce((sum, phase) => sum + phase.seconds, 0) + tailS;
  const cues = soundTimeline(phases, {
    tempoPerMin: form.tempoPerMin,
    accentEvery: form.accentEvery,
    calls: form.set && {
      set: form.set,
      everyS: form.everyS,
      moveS: form.moveS,
      pace: form.pace,
      leadS: form.leadS,
    },
    called: form.sequence ? sequenceCues(phases, form.sequence) : [],
    seed: form.seed,
  });
  if (form.format === 'vtt') {
    const text = new TextEncoder().encode(writeVtt(form.title, trackCues(phases, cues)));
    return done({
      name: `${form.name}.vtt`,
      type: 'text/vtt; charset=utf-8',
      bytes: text.length,
      pieces: () => [text],
    });
  }
  const known = new Map<string, Float32Array | undefined>();
  for (const { clip: name } of cues) if (name !== null) known.set(name, await clip(name));
  const count = trackLength(forS, sampleRate);
  return done({
    name: `${form.name}.wav`,
    type: 'audio/wav',
    bytes: wavBytes(count),
    pieces: function* () {
      yield wavHeader(sampleRate, count);
      const length = pieceS * sampleRate;
      for (let from = 0; from < count; from += length)
        yield wavSamples(
          mixStretch(cues, from, Math.min(length, count - from), sampleRate, (name) => known.get(name)),
        );
    },
  });
}
