import { seededRandom } from '../base/random';
import { impactsIn } from './impacts';
import { NoiseMeter, withoutNoise } from './noise-meter';
import { madeRows, taught, thingsOf } from './synth/drills';
import { noiseKinds, noiseWave } from './synth/noise';
import { sceneWave, usualDb } from './synth/scene';

const rate = 48_000;

/** A meter that heard a sound piece by piece, and was told of the blows in it. */
function metered(wave: Float32Array, blows: readonly number[] = []): NoiseMeter {
  const meter = new NoiseMeter(rate);
  const piece = 2048;
  for (let at = 0; at < wave.length; at += piece) {
    meter.take(wave.slice(at, at + piece));
    for (const blow of blows) if (blow * rate >= at && blow * rate < at + piece) meter.blow(blow);
  }
  return meter;
}

test.each(noiseKinds)('%s reads as loud as it is, to a decibel and a half', (kind) => {
  for (const db of [-20, -40, -60]) {
    const loud = 10 ** (db / 20);
    const noise = noiseWave(kind, 5, seededRandom(3), rate).map((x) => loud * x);
    expect(Math.abs(metered(noise).noiseDb - db)).toBeLessThan(1.5);
  }
});

test.each([5, 10, 20])('blows between do not move it: %d dB under them', (snrDb) => {
  for (const noise of noiseKinds) {
    const made = madeRows(thingsOf(5), [12, 12]);
    const room = { noise, snrDb, echoS: 0.5, rate };
    const wave = sceneWave({ ...room, seed: 9, seconds: made.seconds, struck: made.blows });
    const blows = impactsIn(wave, rate).map(({ atS }) => atS);
    expect(Math.abs(metered(wave, blows).noiseDb - (usualDb - snrDb))).toBeLessThan(2.5);
  }
});

test('a level without the noise it was heard in', () => {
  // Two equal powers together are 3.01 dB louder than one.
  expect(withoutNoise(-20 + 10 * Math.log10(2), -20)).toBeCloseTo(-20, 6);
  expect(withoutNoise(-30, -20)).toBe(-Infinity);
});

test('the loudest hundredth of a second since it was asked to forget', () => {
  const made = taught(thingsOf(4), 'strings');
  const wave = sceneWave({
    noise: 'hiss',
    snrDb: 40,
    echoS: 0,
    rate,
    seed: 1,
    seconds: made.seconds,
    struck: made.blows,
  });
  const meter = metered(wave);
  expect(Math.abs(meter.loudestDb - usualDb)).toBeLessThan(4);
  meter.forgetLoudest();
  meter.take(new Float32Array(rate));
  expect(meter.loudestDb).toBeLessThan(-60);
});
