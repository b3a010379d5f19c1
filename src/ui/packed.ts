import { tabled, untabled, type Tabled } from './tables';

/**
 * What a page gives to its screen, as one JSON text, its long lists as tables. The framework walks every value of a prop
 * on its way to the browser, which costs more than making the page once there are thousands; a text is one value.
 */
export type Packed<T> = string & { readonly of?: T };

/** On the server a page is packed and unpacked in the same process: what was packed lately is known by its text. */
const shared = globalThis as typeof globalThis & { vowstepPacked?: Map<string, unknown> };
const mostKnown = 40;
const onServer = typeof window === 'undefined';

/** Only plain data comes out as it went in: no `undefined`, no Infinity, no dates. */
export const pack = <T>(value: T): Packed<T> => JSON.stringify(tabled(value));

/** What was packed. On the server two pages may be given the same: nobody changes it. */
export function unpack<T>(packed: Packed<T>): T {
  const read = () => untabled(JSON.parse(packed) as Tabled) as T;
  if (!onServer) return read();
  const known = (shared.vowstepPacked ??= new Map());
  if (!known.has(packed)) {
    known.set(packed, read());
    if (known.size > mostKnown) known.delete(known.keys().next().value!);
  }
  return known.get(packed) as T;
}
