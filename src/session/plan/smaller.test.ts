import { lapOf } from '@/core/movement/course';
import { eight, triangle } from '@/core/movement/shapes';
import { plainBook } from '@/drills';
import { layoutChild } from '@/drills/layouts';
import { markFor } from '../base/goals';
import { markAtSize } from './smaller';

const child = layoutChild({ age: 11, sport: 'tennis', heightCm: null, racketIn: null });
const at = (drillId: string, stepId: string, percent: number, band: '10-12' | '4-6' = '10-12') =>
  markAtSize(plainBook.drill(drillId)!, plainBook.step(drillId, stepId)!, band, percent, child);

test('a lap of a triangle of 2.4 m is asked for in the time such a triangle takes', () => {
  const lapS = (sideM: number) => lapOf(triangle({ widthM: 5, depthM: 5 }, sideM).course!, 11, child).seconds;
  const { result } = markFor(plainBook.step('triangle-run', 'timed-lap')!, '10-12');
  const now = (result * lapS(2.4)) / lapS(3);
  expect(at('triangle-run', 'timed-lap', 80)).toEqual({
    band: '10-12',
    was: `${result.toFixed(1)} s`,
    now: `${now.toFixed(1)} s`,
  });
});

test('in a box there are more of a smaller eight, bends and all', () => {
  const lapS = (by: number) =>
    lapOf(eight({ widthM: 2.5, depthM: 2.5 }, 0.5 * by, 0.35 * by, 'side step').course!, 11, child).seconds;
  const { result } = markFor(plainBook.step('figure-of-eight', 'quick-eight')!, '10-12');
  const more = Math.round((result * lapS(1)) / lapS(0.5));
  expect(more).toBeGreaterThan(result);
  expect(at('figure-of-eight', 'quick-eight', 50)!.now).toContain(String(more));
});

test('nothing is said at its own size, where no way sets the pace, or where the number stays', () => {
  expect(at('triangle-run', 'timed-lap', 100)).toBeNull();
  expect(at('palm-up-bounce', plainBook.drill('palm-up-bounce')!.steps[0]!.id, 50)).toBeNull();
  expect(at('square-shuffle', 'there-and-back', 70)).toBeNull();
  expect(at('triangle-run', 'twenty-seconds', 95, '4-6')).toBeNull();
});
