import { fingerprint } from './fingerprint';

// Test vectors published with FNV (draft-eastlake-fnv, appendix; from memory): 32 bits, FNV-1a.
test.each([
  ['', 0x811c9dc5],
  ['a', 0xe40c292c],
  ['foobar', 0xbf9cf968],
])('%j', (text, hash) => expect(fingerprint(text)).toBe(hash.toString(36)));

test('other texts have other names', () => {
  const names = Array.from({ length: 20_000 }, (_, n) => fingerprint(`palm-up-bounce row-${n}`));
  expect(new Set(names).size).toBe(names.length);
});
