import { overlap } from '../geometry/pack';
import type { KitNeed, Needs, Space } from './needs';
import type { Place } from './place';
import { fitSideBySide, type Beside } from './side-by-side';

const hall: Place = {
  name: 'Hall',
  lengthM: 10,
  widthM: 6,
  ceilingM: 5,
  surface: 'wood',
  wallM: 6,
  tables: 1,
  hazards: [],
  quietFrom: null,
  quietTo: null,
};
const needs = (space: Partial<Space> = {}, kit: KitNeed[] = [], most = 4): Needs => ({
  space: { per: 'player', lengthM: 2, widthM: 2, ceilingM: 2, needs: [], ...space },
  kit,
  players: { min: 1, max: most },
});
const station = (of: Needs, players = 2, stations = 1): Beside => ({ needs: of, players, stations });
const ball = (count: number, standIns: string[] = []): KitNeed => ({
  item: 'ball',
  count,
  per: 'player',
  standIns,
});
const all = () => Infinity;

test('what one station takes of the kit the next one has not', () => {
  const four = (item: string) => (item === 'ball' ? 4 : 0);
  const two = [station(needs({}, [ball(1)])), station(needs({}, [ball(1)])), station(needs({}, [ball(1)]))];
  const { fits } = fitSideBySide(two, hall, four);
  expect(fits.map(({ verdict }) => verdict)).toEqual(['fits', 'fits', 'no']);
  expect(fits[2]!.text).toBe(
    'does not fit: ball: 2 needed, 0 at hand, and nothing stands in, because the other stations have theirs',
  );
});

test('a stand-in is taken once too', () => {
  const kit = (item: string) => (item === 'ball' ? 2 : item === 'beanbag' ? 2 : 0);
  const two = [
    station(needs({}, [ball(1, ['beanbag'])])),
    station(needs({}, [ball(1, ['beanbag'])])),
    station(needs({}, [ball(1, ['beanbag'])])),
  ];
  expect(fitSideBySide(two, null, kit).fits.map(({ verdict }) => verdict)).toEqual([
    'fits',
    'stand-in',
    'no',
  ]);
});

test('every station has its own floor', () => {
  const { fits, layout } = fitSideBySide(
    [
      station(needs({ needs: ['wall'], lengthM: 5 })),
      station(needs({ lengthM: 3, widthM: 3 }), 1),
      station(needs(), 2),
    ],
    hall,
    all,
  );
  expect(fits.map(({ verdict, atOnce }) => [verdict, atOnce])).toEqual([
    ['fits', 2],
    ['fits', 1],
    ['fits', 2],
  ]);
  const lanes = layout!.lanes.flat();
  for (const [index, a] of lanes.entries()) {
    expect(Math.max(a.x + a.width, a.y + a.height)).toBeLessThanOrEqual(10);
    for (const b of lanes.slice(index + 1)) expect(overlap(a, b)).toBe(false);
  }
});

test('where floor is short a group takes turns; where even one each is too many, the last does not fit', () => {
  const large = needs({ lengthM: 5, widthM: 3 });
  // Four of 5 x 3 fill 10 x 6: three and two want five.
  expect(
    fitSideBySide([station(large, 3), station(large, 2)], hall, all).fits.map(({ atOnce }) => atOnce),
  ).toEqual([2, 2]);
  const five = Array.from({ length: 5 }, () => station(large, 1));
  const { fits, layout } = fitSideBySide(five, hall, all);
  expect(fits.map(({ verdict }) => verdict)).toEqual(['fits', 'fits', 'fits', 'fits', 'no']);
  expect(fits[4]!.reasons).toEqual(['there is no room for it in Hall beside the other stations']);
  expect(layout).toBeNull();
});

test('one wall and one table are not there twice', () => {
  const wall = needs({ needs: ['wall'], widthM: 2 });
  const [a, b] = fitSideBySide([station(wall, 2), station(wall, 2)], hall, all).fits;
  expect(a!.atOnce + b!.atOnce).toBe(3);
  const table = needs({ per: 'station', lengthM: 5, widthM: 3, needs: ['table'] }, [], 2);
  expect(
    fitSideBySide([station(table), station(table)], hall, all).fits.map(({ verdict }) => verdict),
  ).toEqual(['fits', 'no']);
});

test('what does not fit alone says its own reason', () => {
  const [fit] = fitSideBySide([station(needs({ ceilingM: 9 })), station(needs())], hall, all).fits;
  expect(fit!.text).toContain('9 m of clear height');
});
