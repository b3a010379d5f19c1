import type { WallSetup } from '@/core/ballistics/wall/setup';
import type { Place } from '@/core/venues/place';
import { placeNote } from './place-note';

const yard = { name: 'Yard', lengthM: 6, widthM: 4, wallM: 4, tables: 0 } as Place;
const rally = { distanceM: 4, shot: 'one bounce' } as WallSetup;

test.each<[string, Partial<Place>, Partial<WallSetup>, string | null]>([
  ['all is there', {}, {}, null],
  ['no wall', { wallM: 0 }, {}, 'Yard has no wall that may be hit.'],
  ['no table', {}, { shot: 'table' }, 'Yard has no table.'],
  ['too shallow', {}, { distanceM: 5.5 }, 'This takes 6.5 m from the wall, and Yard is 6 m deep.'],
])('%s', (_name, place, setup, words) => {
  expect(placeNote({ ...yard, ...place }, { ...rally, ...setup })).toBe(words);
});

test('nobody said where: nothing is missing', () => {
  expect(placeNote(undefined, rally)).toBeNull();
});
