import { normals, seededRandom, wholeBetween } from '../../src/core/base/random';
import { heardRows } from '@/core/sound/count/rows';
import { echoesOf } from '@/core/sound/echo';
import { impactsIn } from '@/core/sound/impacts';
import { learn } from '@/core/sound/learn';
import { noiseKinds, noiseWave } from '@/core/sound/synth/noise';
import { recordedRate as rate, type Recorded } from './recorded';

interface Placed {
  readonly atS: number;
  readonly wave: Float32Array;
  readonly loud: number;
}

/** A blow's root mean square over its first ten milliseconds is this, of the loudest there can be. */
const usualLoud = 0.1;

function mixed(placed: readonly Placed[], seconds: number, noise: Float32Array, snrDb: number): Float32Array {
  const out = new Float32Array(Math.round(seconds * rate));
  for (const { atS, wave, loud } of placed) {
    const head = wave.subarray(0, Math.round(0.01 * rate));
    const rms = Math.sqrt(head.reduce((sum, x) => sum + x * x, 0) / head.length);
    const from = Math.round(atS * rate);
    for (let n = 0; n < wave.length && from + n < out.length; n++)
      out[from + n]! += (usualLoud * loud * wave[n]!) / rms;
  }
  const quiet = usualLoud * 10 ** (-snrDb / 20);
  return out.map((x, n) => Math.max(-1, Math.min(1, x + quiet * noise[n]!)));
}

/**
 * A row of one recorded thing among blows of another, after five or more of it were taught: touches that were counted, missed
 * and wrong. Its three middle strengths take turns by chance.
 */
export function recordedRow(all: readonly Recorded[], seed: number, snrDb: number) {
  const random = seededRandom(seed);
  const draw = normals(random);
  const ours = all[seed % all.length]!;
  const other = all[(seed + 1 + wholeBetween(random, 0, all.length - 2)) % all.length]!;
  const kind = noiseKinds[wholeBetween(random, 0, noiseKinds.length - 1)]!;
  const blow = (of: Recorded, atS: number): Placed => ({
    atS,
    wave: of.blows[wholeBetween(random, 1, 3)]!,
    loud: 10 ** ((1.5 * draw()) / 20),
  });
  const examples = Array.from({ length: 7 }, (_, n) => blow(ours, 3.2 + 0.6 * n + 0.1 * random()));
  const lesson = mixed(examples, 8, noiseWave(kind, 8, random, rate), snrDb);
  const heard = impactsIn(lesson, rate).filter(({ atS }) => atS > 3);
  const touches: number[] = [];
  const periodS = 0.4 + 0.4 * random();
  let atS = 1.2;
  for (let n = wholeBetween(random, 12, 24); n > 0; n--) {
    touches.push(atS);
    atS += periodS * Math.max(0.6, 1 + 0.09 * draw());
  }
  const placed = touches.map((one) => blow(ours, one));
  for (let strangeS = 1.5; strangeS < atS; strangeS += 0.8 + 1.6 * random())
    if (touches.every((one) => Math.abs(one - strangeS) > 0.06)) placed.push(blow(other, strangeS));
  const scene = mixed(placed, atS + 0.5, noiseWave(kind, atS + 0.5, random, rate), snrDb);
  const learnt = learn('ours', 'table', heard);
  const { rows } = heardRows(impactsIn(scene, rate), {
    learnt: learnt ? [learnt] : [],
    echoes: echoesOf(heard),
    counts: ['ours'],
    ends: [],
    periodS: { least: 0.22, most: 1.2 },
  });
  const found = rows.flatMap((row) => row.touches);
  const used = new Set<number>();
  for (const touch of touches) {
    const at = found.findIndex(
      (one, n) => !used.has(n) && Math.abs(one.atS - touch) < (one.heard ? 0.02 : 0.25),
    );
    if (at >= 0) used.add(at);
  }
  return { hit: used.size, missed: touches.length - used.size, wrong: found.length - used.size };
}
