import { echoesOf } from '../echo';
import { impactsIn, type Impact } from '../impacts';
import type { SoundKind } from '../kinds';
import { learn } from '../learn';
import { taught, type Blow, type Things } from '../synth/drills';
import { sceneWave, type Room } from '../synth/scene';
import type { Taught } from '../count/taken';

/** A dry, quiet room. */
export const quietRoom: Room = { noise: 'hiss', snrDb: 30, echoS: 0 };
export const rate = 48_000;

/** What is heard of blows in a room. */
export function heardOf(
  made: { readonly seconds: number; readonly blows: readonly Blow[] },
  { room = quietRoom, seed = 1 }: { room?: Room; seed?: number } = {},
): Impact[] {
  return impactsIn(sceneWave({ ...room, rate, seed, seconds: made.seconds, struck: made.blows }), rate);
}

/** Some sounds taught in a room, each under its own name or a name and a side. */
export function taughtIn(
  things: Things,
  sounds: readonly (readonly [SoundKind, overDb: number, of?: string])[],
  room: Room = quietRoom,
): Taught {
  const heard = sounds.map(([kind, overDb, of = ''], at) => ({
    kind,
    label: of || kind,
    impacts: heardOf(taught(things, kind, overDb, of), { room, seed: 20 + at }).filter(({ atS }) => atS > 3),
  }));
  return {
    learnt: heard.flatMap(({ kind, label, impacts }) => learn(label, kind, impacts) ?? []),
    echoes: echoesOf(heard[0]!.impacts),
  };
}
