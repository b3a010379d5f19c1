import fc from 'fast-check';
import { decodeTime, ulid } from 'ulid';
import { idTimeMs, isUlid } from './ulid-time';

test('the time of an id is what the reference library reads', () => {
  fc.assert(
    // To the library, zero is no time but the present one.
    fc.property(fc.integer({ min: 1, max: 2 ** 48 - 1 }), (ms) => {
      const id = ulid(ms);
      expect(idTimeMs(id)).toBe(ms);
      expect(decodeTime(id)).toBe(ms);
    }),
  );
});

test.each([
  // The largest valid ULID, as the specification names it.
  ['7ZZZZZZZZZZZZZZZZZZZZZZZZZ', 2 ** 48 - 1],
  ['8ZZZZZZZZZZZZZZZZZZZZZZZZZ', null],
  ['ZZZZZZZZZZZZZZZZZZZZZZZZZZ', null],
  ['01ARZ3NDEKTSV4RRFFQ69G5FAI', null],
  ['01arz3ndektsv4rrffq69g5fav', null],
  ['01ARZ3NDEKTSV4RRFFQ69G5FA', null],
  ['', null],
])('%s: %p', (id, ms) => {
  expect(idTimeMs(id)).toBe(ms);
  expect(isUlid(id)).toBe(ms !== null);
});
