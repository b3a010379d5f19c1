import fc from 'fast-check';
import { families, focuses, sports } from '@/drills/base/types';
import { addressOf, lookedFor, usualGroup } from './wanted-in-address';

const asked = (query: string) => lookedFor(new URLSearchParams(query));

test('an empty address asks for everything, and everything is an empty address', () => {
  expect(addressOf(asked(''))).toBe('');
  expect(asked('').group).toBe(usualGroup);
});

test('what is asked for stands in the address and comes back from it', () => {
  const maybe = <T>(from: readonly T[]) => fc.option(fc.constantFrom(...from), { nil: null });
  fc.assert(
    fc.property(
      fc.record({
        words: fc.constantFrom('', 'bounce', 'wall & feet', 'ü'),
        sport: maybe(sports),
        family: maybe(families),
        focus: maybe(focuses),
        measure: maybe(['row', 'grade', 'lap'] as const),
        age: fc.option(fc.integer({ min: 3, max: 18 }), { nil: null }),
        minutes: fc.option(fc.integer({ min: 1, max: 20 }), { nil: null }),
        fitting: fc.boolean(),
      }),
      fc.constantFrom('', '01ARZ3NDEKTSV4RRFFQ69G5FAV'),
      fc.integer({ min: 1, max: 12 }),
      (wanted, placeId, group) => {
        const looked = { wanted, placeId, group };
        expect(asked(addressOf(looked))).toEqual(looked);
      },
    ),
  );
});

test('what cannot be is left out', () => {
  expect(asked('sport=chess&age=99&minutes=x&players=0&family=wall').wanted).toMatchObject({
    sport: null,
    age: null,
    minutes: null,
    family: 'wall',
  });
});
