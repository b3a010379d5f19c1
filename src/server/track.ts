import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { mixTrack } from '@/core/calls/mix';
import { soundTimeline } from '@/core/calls/timeline';
import { phasesOf, type Phase } from '@/core/run/phases';
import { done, refused, type Outcome } from '@/core/outcome';
import { readWav, writeWav } from '@/formats/wav';
import { writeVtt } from '@/formats/webvtt';
import { trackCues } from '@/core/calls/track-cues';
import { trackSchema, type TrackForm } from './schemas/track';
import { check } from './schemas/check';

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

/**
 * A practice track to take home: the beat and the calls of a block as a sound file, or its cues as a WebVTT file.
 * The same wishes and seed give the same track, byte for byte.
 */
export async function practiceTrack(
  input: unknown,
): Promise<Outcome<{ name: string; type: string; body: BodyInit }>> {
  const checked = check(trackSchema, input);
  if (!checked.ok) return checked;
  const form = checked.value;
  if (form.tempoPerMin === null && form.set === null)
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
    seed: form.seed,
  });
  if (form.format === 'vtt')
    return done({
      name: `${form.name}.vtt`,
      type: 'text/vtt; charset=utf-8',
      body: writeVtt(form.title, trackCues(phases, cues)),
    });
  const known = new Map<string, Float32Array | undefined>();
  for (const { clip: name } of cues) if (name !== null) known.set(name, await clip(name));
  const samples = mixTrack(cues, forS, sampleRate, (name) => known.get(name));
  return done({
    name: `${form.name}.wav`,
    type: 'audio/wav',
    body: writeWav({ sampleRate, samples }) as BodyInit,
  });
}

/** Quiet after the last signal has died away, seconds. */
const tailS = 2;
