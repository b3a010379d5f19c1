import { seededRandom } from '../base/random';
import { ImpactFinder, impactsIn } from './impacts';
import { madeRows, thingsOf } from './synth/drills';
import { noiseWave } from './synth/noise';
import { sceneWave } from './synth/scene';
import { heardOf, quietRoom, rate } from './testing/heard';

const made = madeRows(thingsOf(11), [9]);
const wave = sceneWave({ ...quietRoom, rate, seed: 3, seconds: made.seconds, struck: made.blows });
const times = (found: readonly { atS: number }[]) => found.map(({ atS }) => atS);

describe('impacts', () => {
  test('each touch is found once, to two milliseconds', () => {
    const found = times(impactsIn(wave, rate));
    for (const atS of made.truth.touches)
      expect(found.filter((one) => Math.abs(one - atS) < 0.002)).toHaveLength(1);
  });

  test('at either usual sampling rate', () => {
    const slower = sceneWave({
      ...quietRoom,
      rate: 44_100,
      seed: 3,
      seconds: made.seconds,
      struck: made.blows,
    });
    expect(impactsIn(slower, 44_100).length).toBe(impactsIn(wave, rate).length);
  });

  test('as it comes in, in pieces of any length, the same is found', () => {
    const whole = impactsIn(wave, rate);
    for (const piece of [128, 1000, 4801]) {
      const finder = new ImpactFinder(rate);
      const found = [];
      for (let at = 0; at < wave.length; at += piece) found.push(...finder.push(wave.slice(at, at + piece)));
      found.push(...finder.end());
      expect(found).toEqual(whole);
    }
  });

  test.each(['hiss', 'hum'] as const)('silence and steady %s are no blows', (kind) => {
    expect(impactsIn(new Float32Array(rate * 2), rate)).toEqual([]);
    const noise = noiseWave(kind, 6, seededRandom(5), rate).map((x) => 0.05 * x);
    expect(impactsIn(noise, rate).length).toBeLessThanOrEqual(1);
  });

  test('its level is that of its first ten milliseconds', () => {
    const found = impactsIn(wave, rate);
    for (const { atS, levelDb } of made.blows.filter(({ kind }) => kind === 'strings')) {
      const near = found.find((one) => Math.abs(one.atS - atS) < 0.002)!;
      expect(Math.abs(near.levelDb - levelDb)).toBeLessThan(1);
    }
  });

  test('what is cut off is said to be', () => {
    expect(impactsIn(wave, rate).some(({ clipped }) => clipped)).toBe(false);
    const loud = heardOf(made, { room: { ...quietRoom, tooLoud: 12 } });
    expect(loud.filter(({ clipped }) => clipped).length).toBeGreaterThan(5);
  });
});
