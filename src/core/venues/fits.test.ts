import fc from 'fast-check';
import { fitsHere } from './fits';
import type { KitNeed, Needs, Space } from './needs';
import { isQuiet, isQuietIn, type Place } from './place';

const hall: Place = {
  name: 'Hall',
  lengthM: 24,
  widthM: 7,
  ceilingM: 4.2,
  surface: 'wood',
  wallM: 9,
  tables: 2,
  hazards: [],
  quietFrom: null,
  quietTo: null,
};
const space = (more: Partial<Space> = {}): Space => ({
  per: 'player',
  lengthM: 2,
  widthM: 2,
  ceilingM: 2.4,
  needs: [],
  ...more,
});
const needs = (more: Partial<Needs> = {}): Needs => ({
  space: space(),
  kit: [],
  players: { min: 1, max: 8 },
  ...more,
});
const ball: KitNeed = { item: 'ball', count: 1, per: 'player', standIns: ['rolled socks', 'beanbag'] };
const having =
  (counts: Record<string, number>) =>
  (item: string): number =>
    counts[item] ?? 0;
const all = () => Infinity;

test('it fits when there is room and kit', () => {
  expect(fitsHere(needs({ kit: [ball] }), 4, 1, hall, having({ ball: 4 }))).toMatchObject({
    verdict: 'fits',
    text: 'fits',
    atOnce: 4,
  });
});

test('a missing thing has a stand-in, the best that there is enough of', () => {
  const fit = (counts: Record<string, number>) =>
    fitsHere(needs({ kit: [ball] }), 4, 1, hall, having(counts));
  expect(fit({ 'rolled socks': 9 }).text).toBe('fits with a stand-in: rolled socks for ball');
  expect(fit({ 'rolled socks': 3, beanbag: 4 }).standIns).toEqual([{ item: 'ball', by: 'beanbag' }]);
  // Two balls and two pairs of socks make four.
  expect(fit({ ball: 2, 'rolled socks': 2 }).verdict).toBe('stand-in');
  expect(fit({ ball: 2 })).toMatchObject({
    verdict: 'no',
    text: 'does not fit: ball: 4 needed, 2 at hand, and nothing stands in',
    atOnce: 0,
  });
});

test.each<[string, Partial<Needs>, string]>([
  ['too low', { space: space({ ceilingM: 4.5 }) }, 'it needs 4.5 m of clear height, and Hall has 4.2 m'],
  ['too small', { space: space({ lengthM: 30 }) }, 'it needs 30 x 2 m, and there is less'],
  ['too few players', { players: { min: 5, max: 8 } }, 'it takes 5 players, and 4 are coming'],
])('%s is said with its numbers', (_name, more, reason) => {
  expect(fitsHere(needs(more), 4, 1, hall, all)).toMatchObject({ verdict: 'no', reasons: [reason] });
});

test.each<[string, Space['needs'], Partial<Place>, string]>([
  ['wall', ['wall'], { wallM: 0 }, 'a wall that may be hit'],
  ['table', ['table'], { tables: 0 }, 'needs a table'],
  ['bounce', ['hard floor'], { surface: 'grass' }, 'Hall is grass'],
])('without a %s it does not fit', (_name, wanted, place, reason) => {
  const fit = fitsHere(needs({ space: space({ needs: wanted }) }), 2, 1, { ...hall, ...place }, all);
  expect(fit.text).toContain(reason);
  expect(fitsHere(needs({ space: space({ needs: wanted }) }), 2, 1, hall, all).verdict).toBe('fits');
});

describe('how many at once', () => {
  test('lanes of three metres at a wall of nine: three', () => {
    const wall = needs({
      space: space({ lengthM: 6, widthM: 3, needs: ['wall'] }),
      players: { min: 1, max: 6 },
    });
    expect(fitsHere(wall, 6, 1, hall, all).atOnce).toBe(3);
  });
  test('a station that three share holds three, two stations six, if both fit', () => {
    const shared = needs({
      space: space({ per: 'station', lengthM: 5, widthM: 3 }),
      players: { min: 1, max: 3 },
    });
    expect(fitsHere(shared, 6, 1, hall, all).atOnce).toBe(3);
    expect(fitsHere(shared, 6, 2, hall, all).atOnce).toBe(6);
    expect(fitsHere(shared, 6, 2, { ...hall, lengthM: 5, widthM: 5 }, all).atOnce).toBe(3);
  });
  test('as many tables as there are', () => {
    const table = needs({
      space: space({ per: 'station', lengthM: 3.5, widthM: 3, needs: ['table'] }),
      players: { min: 1, max: 2 },
    });
    expect(fitsHere(table, 6, 3, hall, all).atOnce).toBe(4);
  });
  test('it can be turned round: a long lane fits a hall that is named by its width', () => {
    expect(
      fitsHere(
        needs({ space: space({ lengthM: 20, widthM: 6 }) }),
        1,
        1,
        { ...hall, lengthM: 7, widthM: 24 },
        all,
      ).verdict,
    ).toBe('fits');
  });
  test('nobody said where: space is taken as enough', () => {
    expect(fitsHere(needs({ space: space({ lengthM: 99 }) }), 4, 1, null, all)).toMatchObject({
      verdict: 'fits',
      atOnce: 4,
    });
  });
});

test('a bigger place and more kit never fit worse', () => {
  const size = fc.double({ min: 1, max: 30, noNaN: true });
  fc.assert(
    fc.property(
      size,
      size,
      size,
      size,
      fc.integer({ min: 1, max: 8 }),
      fc.integer({ min: 0, max: 9 }),
      (l, w, a, b, n, balls) => {
        const wanted = needs({ space: space({ lengthM: a, widthM: b }), kit: [{ ...ball, standIns: [] }] });
        const small = fitsHere(wanted, n, 1, { ...hall, lengthM: l, widthM: w }, having({ ball: balls }));
        const big = fitsHere(wanted, n, 1, { ...hall, lengthM: l + 2, widthM: w + 2 }, having({ ball: 99 }));
        expect(big.atOnce).toBeGreaterThanOrEqual(small.atOnce);
        if (small.verdict === 'no') expect(small.reasons.length).toBeGreaterThan(0);
      },
    ),
  );
});

test.each([
  ['13:00', '15:00', '13:00', true],
  ['13:00', '15:00', '15:00', false],
  ['13:00', '15:00', '12:59', false],
  ['20:00', '07:00', '23:30', true],
  ['20:00', '07:00', '06:59', true],
  ['20:00', '07:00', '12:00', false],
])('quiet from %s to %s: at %s %p', (quietFrom, quietTo, time, quiet) => {
  expect(isQuiet({ ...hall, quietFrom, quietTo }, time)).toBe(quiet);
  expect(isQuiet(hall, time)).toBe(false);
});

test.each([
  ['before', '11:30', 60, false],
  ['into them', '12:30', 60, true],
  ['inside', '13:30', 15, true],
  ['from their end', '15:00', 60, false],
  ['over midnight', '23:30', 60, false],
])('a session %s: quiet hours from 13:00 to 15:00', (_when, start, minutes, quiet) =>
  expect(isQuietIn({ ...hall, quietFrom: '13:00', quietTo: '15:00' }, start, minutes)).toBe(quiet),
);

test('quiet hours may run past midnight, and a place without any is never quiet', () => {
  const night = { ...hall, quietFrom: '22:00', quietTo: '07:00' };
  expect(isQuietIn(night, '21:30', 60)).toBe(true);
  expect(isQuietIn(night, '06:30', 10)).toBe(true);
  expect(isQuietIn(night, '07:00', 120)).toBe(false);
  expect(isQuietIn(hall, '03:00', 60)).toBe(false);
});
