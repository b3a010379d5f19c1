import { normals, seededRandom, type Random } from '../../base/random';
import { impactWave, type Body } from './impact';
import { noiseWave, type NoiseKind } from './noise';

/** Something that is hit in a scene. */
export interface Struck {
  readonly atS: number;
  readonly body: Body;
  /** Against the loudest there can be, dB <= 0. */
  readonly levelDb: number;
}

/** A room with somebody in it who makes noise. */
export interface Room {
  readonly noise: NoiseKind;
  /** The level of the usual impact over that of the noise, dB. */
  readonly snrDb: number;
  /** Seconds in which the room's echo falls by 60 dB; 0 in the open. */
  readonly echoS: number;
  /** How many times too loud it is for the microphone: from 1 on, what is louder is cut off. */
  readonly tooLoud?: number;
}

/** A drill as it could be heard: the stand-in for a microphone. */
export interface SceneForm extends Room {
  readonly seed: number;
  /** Samples a second. */
  readonly rate: number;
  readonly seconds: number;
  readonly struck: readonly Struck[];
}

/** The level of a usual impact, dB. */
export const usualDb = -20;
/** How loud the echo is against what it echoes: of a hard-walled hall. Ours. */
const echoShare = 0.25;

const loudOf = (db: number): number => 10 ** (db / 20);

/** The sound of a scene, each sample from -1 to 1; what is louder is cut off, as a microphone does. */
export function sceneWave(form: SceneForm): Float32Array {
  const { seed, rate, seconds, struck, noise, snrDb, echoS, tooLoud = 1 } = form;
  const random = seededRandom(seed);
  const dry = new Float32Array(Math.round(seconds * rate));
  for (const { atS, body, levelDb } of struck) {
    const wave = impactWave(body, random, rate);
    const from = Math.round(atS * rate);
    const loud = loudOf(levelDb);
    for (let n = 0; n < wave.length && from + n < dry.length; n++) dry[from + n]! += loud * wave[n]!;
  }
  const heard = echoS > 0 ? echoed(dry, echoS, rate, random) : dry;
  const hiss = noiseWave(noise, seconds, random, rate);
  const loud = loudOf(usualDb - snrDb);
  for (let n = 0; n < heard.length; n++)
    heard[n] = Math.max(-1, Math.min(1, tooLoud * (heard[n]! + loud * hiss[n]!)));
  return heard;
}

/** Echo as many single returns, closer and weaker the later: sparse, so that it is quick to make. */
function echoed(dry: Float32Array, echoS: number, rate: number, random: Random): Float32Array {
  const wet = Float32Array.from(dry);
  const draw = normals(random);
  const fallPerS = Math.log(1000) / echoS;
  for (let at = 0.008 + 0.01 * random(); at < Math.min(echoS, 0.6); at += 0.008 + 0.02 * random()) {
    const loud = echoShare * Math.exp(-fallPerS * at) * draw();
    const by = Math.round(at * rate);
    for (let n = by; n < wet.length; n++) wet[n]! += loud * dry[n - by]!;
  }
  return wet;
}
