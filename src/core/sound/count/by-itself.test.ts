import { madeRows, thingsOf } from '../synth/drills';
import { sceneWave } from '../synth/scene';
import { quietRoom, rate } from '../testing/heard';
import { countedByItself } from './by-itself';

const made = madeRows(thingsOf(52), [8, 14], 0.3);
const wave = sceneWave({ ...quietRoom, rate, seed: 4, seconds: made.seconds, struck: made.blows });
const periodS = { least: 0.2, most: 1.3 };

test('the commonest sound of a clip is counted where nobody taught it', () => {
  const counted = countedByItself(wave, rate, [], periodS)!;
  expect(counted.from).toBe('the commonest sound');
  expect(counted.rows.rows.map(({ howMany }) => howMany.count).filter((n) => n > 1)).toEqual([8, 14]);
});

test('five marks say which sound it is, though another is heard more often', () => {
  const floors = made.blows.filter(({ kind }) => kind === 'floor').map(({ atS }) => atS);
  expect(floors.length).toBeGreaterThanOrEqual(5);
  const counted = countedByItself(wave, rate, made.truth.touches.slice(0, 6), periodS)!;
  expect(counted.from).toBe('marks');
  expect(counted.rows.all.count).toBe(22);
});

test('where nothing is like anything, nothing is counted', () => {
  expect(countedByItself(new Float32Array(rate), rate, [], periodS)).toBeNull();
});
