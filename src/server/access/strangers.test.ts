import { mayTry, noteTried } from './strangers';

const tried = (token: string, address: string | undefined, isKnown: boolean) => {
  const may = mayTry(token, address);
  if (may) noteTried(token, address, isKnown);
  return may;
};

test('twenty links that open nothing, then that address waits; a link that opened here is no guess', () => {
  noteTried('good', '192.0.2.1', true);
  const guesses = Array.from({ length: 40 }, (_, n) => tried(`bad ${n}`, '192.0.2.1', false));
  expect(guesses.filter(Boolean)).toHaveLength(20);
  expect(tried('another', '192.0.2.1', true)).toBe(false);
  expect(tried('good', '192.0.2.1', true)).toBe(true);
  expect(tried('another', '192.0.2.2', true)).toBe(true);
  expect(tried('bad', undefined, false)).toBe(true);
});
