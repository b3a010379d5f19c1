import type { SequenceSetting } from '@/core/calculators/setting';
import { settingTouchS, strokesInRound } from '@/core/calculators/setting';
import { settingInWords } from '@/core/calculators/setting-words';
import { plainBook } from '@/drills';
import { alone, paceOn, settingFits, takesSequence } from '../base/pace';
import { sequenceOf, usualTempo } from '../base/sound';

const drill = plainBook.drill('shadow-patterns')!;
const step = plainBook.step('shadow-patterns', 'four-shots')!;
const setting: SequenceSetting = {
  kind: 'sequence',
  name: 'Mine',
  sport: 'table tennis',
  ground: 'table',
  way: 'even',
  lines: ['bh corner, fh wide', 'fh corner, fh middle, fh wide'],
  rounds: [
    { line: 0, perMin: 20 },
    { line: 1, perMin: 30 },
  ],
};

test('a block that is called has the tempo it is called at, whatever else is changed in it', () => {
  // Twenty in one minute and thirty in the next: two minutes for fifty.
  expect(settingTouchS(setting)).toBe(2.4);
  const paces = [[], ['faster'], ['slower']].map(
    (changes) => paceOn(drill, step, alone(10), undefined, { changes, setting }).perTouchS,
  );
  expect(new Set(paces)).toEqual(new Set([settingTouchS(setting)]));
  expect(paceOn(drill, step, alone(10)).perTouchS).toBe(step.perTouchS.value);
  // Slow first costs strokes.
  expect(settingTouchS({ ...setting, way: 'slow, then fast' })).toBeGreaterThan(settingTouchS(setting));
  // A set of whole patterns keeps its own time.
  const sets = plainBook.step('shadow-patterns', 'serve-and-two')!;
  expect(paceOn(drill, sets, alone(10), undefined, { changes: [], setting }).perTouchS).toBe(
    sets.perTouchS.value,
  );
});

test('it fits drills of its sport whose strokes are made without a ball, and steps that count them in a time', () => {
  const fits = (id: string) => settingFits(plainBook.drill(id)!, setting);
  expect(['shadow-patterns', 'court-patterns', 'marker-touches', 'palm-up-bounce'].map(fits)).toEqual([
    true,
    false,
    false,
    false,
  ]);
  expect(settingFits(plainBook.drill('court-patterns')!, { kind: 'sequence' })).toBe(true);
  expect([step, plainBook.step('shadow-patterns', 'serve-and-two')!].map(takesSequence)).toEqual([
    true,
    false,
  ]);
  expect(takesSequence(plainBook.step('marker-touches', 'called')!)).toBe(false);
  expect(sequenceOf(step, setting)).toBe(setting);
  expect(sequenceOf(plainBook.step('shadow-patterns', 'serve-and-two')!, setting)).toBeNull();
  expect(usualTempo(step, setting)).toBeNull();
});

test('a round has the strokes of its line, and rounds begin again', () => {
  expect([1, 2, 3, 4].map((round) => strokesInRound(setting, round))).toEqual([2, 3, 2, 3]);
});

test('in words: what is played and how fast', () => {
  expect(settingInWords(setting)).toBe('“Mine”: 2 sequences by turns; 20 to 30 strokes a minute');
  expect(
    settingInWords({
      ...setting,
      name: '',
      lines: ['fh, bh'],
      rounds: [{ line: 0, perMin: 24 }],
      way: 'slow, then fast',
    }),
  ).toBe('Sequence: fh, bh; 24 strokes a minute, slow, then fast');
});
