import { Budget } from '../http/budget';
import { oneInProcess } from '../base/one';

/*
 * A token that opens nothing is a guess, or a slip. An address has so many of them; then it waits before it may try another
 * one. A token that opened something here is no guess, whoever else asks from there.
 */

/** Twenty at once, then one in half a minute. Ours. */
const { guesses, opened } = oneInProcess('strangers', () => ({
  guesses: new Budget({ burst: 20, perSecond: 1 / 30 }),
  opened: new Set<string>(),
}));
const mostOpened = 10_000;

/** May somebody try a token from an address? Unknown addresses are nobody's (a test, a script). */
export const mayTry = (token: string, address: string | undefined): boolean =>
  !address || opened.has(token) || guesses.left(address) >= 1;

/** What became of a token that was tried. */
export function noteTried(token: string, address: string | undefined, isKnown: boolean): void {
  if (isKnown) {
    opened.delete(token);
    opened.add(token);
    if (opened.size > mostOpened) opened.delete(opened.values().next().value!);
  } else if (address) guesses.take(address);
}
