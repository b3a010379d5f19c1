import { fitsHere } from '@/core/venues/fits';
import { kit, places } from '@/demo/house';
import type { Place } from '@/core/venues/place';
import { catalogue } from '@/drills';
import { aboutness, anything, findDrills, matches, usualS, type Wanted } from './find';
import { atHand, kitAtHand, kitThings } from '@/drills/base/kit';

const counts = atHand(kit as Record<string, number>);
const place = (name: string) => places.find((one) => one.name === name) as Place;
const found = (wanted: Partial<Wanted>, where: Place | null = null) =>
  findDrills(catalogue, { ...anything, ...wanted }, (drill) => fitsHere(drill, 2, 1, where, counts));

test('with no wish everything is found, in the order of the book', () => {
  expect(found({})).toEqual(catalogue);
});

test.each<[string, Partial<Wanted>, (drill: (typeof catalogue)[number]) => boolean]>([
  ['family', { family: 'wall' }, (drill) => drill.family === 'wall'],
  ['sport', { sport: 'table tennis' }, (drill) => drill.sports.includes('table tennis')],
  ['age', { age: 5 }, (drill) => drill.ages.from <= 5],
  ['measure', { measure: 'grade' }, (drill) => drill.steps.some((step) => step.measure === 'grade')],
  ['focus', { focus: 'spacing' }, (drill) => drill.trains.includes('spacing')],
  ['minutes', { minutes: 2 }, (drill) => drill.steps.some((step) => usualS(drill, step, 10) <= 120)],
])('by %s: all that are so, and no other', (_name, wanted, is) => {
  const some = found(wanted);
  expect(some.length).toBeGreaterThan(0);
  expect(some.length).toBeLessThan(catalogue.length);
  expect(some).toEqual(catalogue.filter(is));
});

test('words are looked for everywhere, in any order and case', () => {
  const spin = catalogue.find((drill) => drill.id === 'spin-on-the-floor')!;
  expect(matches(spin, 'FLOOR spin')).toBe(true);
  expect(matches(spin, 'brush')).toBe(true);
  expect(matches(spin, 'spin trampoline')).toBe(false);
  expect(found({ words: 'high ball' }).map((drill) => drill.id)).toContain('retreat-for-the-high-ball');
});

test.each(['c++', '((', '[', '\\', '*', 'a|b', '(((a+)+)+)+$'])(
  '%s is looked for as it stands: nothing in it means anything else',
  (words) => {
    expect(found({ words })).toEqual([]);
    for (const drill of catalogue) expect(aboutness(drill, words)).toBe(0);
  },
);

test('a search of nothing but blanks is about nothing', () => {
  for (const drill of catalogue) expect(aboutness(drill, '  ')).toBe(0);
});

test('by kit and place: a living room has no wall, no bounce, and a low ceiling', () => {
  const home = found({ fitting: true }, place('Living room at home'));
  expect(home.map((drill) => drill.id)).toContain('marker-taps');
  for (const drill of home) {
    expect(drill.space.needs).toEqual([]);
    expect(drill.space.ceilingM).toBeLessThanOrEqual(2.4);
  }
  expect(found({ fitting: true }, place('Rope hall')).length).toBeGreaterThan(home.length * 2);
});

test('what is at hand: counted, in every household, on every body; nothing counted means all is there', () => {
  const some = atHand({ ball: 3, 'rolled socks': 0 });
  expect([some('ball'), some('racket'), some('rolled socks'), some('towel') > 9, some('open hand')]).toEqual([
    3,
    0,
    0,
    true,
    Infinity,
  ]);
  expect(kitAtHand({})('racket')).toBe(Infinity);
  expect(kitAtHand({ ball: 1 })('racket')).toBe(0);
  // Nothing stands on the kit list that no drill asks for.
  const asked = new Set(
    catalogue.flatMap((drill) => drill.kit.flatMap((need) => [need.item, ...need.standIns])),
  );
  expect(kitThings.map((thing) => thing.name).filter((name) => !asked.has(name))).toEqual([]);
});
