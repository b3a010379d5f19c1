/*
 * ULID specification: 26 letters of Crockford's base 32, of which the first ten are UTC milliseconds in 48 bits. Ten
 * letters hold 50 bits, so the first of them ends at 7.
 */
const letters = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
const pattern = /^[0-7][0-9A-HJKMNP-TV-Z]{25}$/;

export const isUlid = (value: unknown): value is string => typeof value === 'string' && pattern.test(value);

/** The time an id was made at, UTC milliseconds; null for what is no ULID. */
export function idTimeMs(id: string): number | null {
  if (!isUlid(id)) return null;
  let ms = 0;
  for (const letter of id.slice(0, 10)) ms = ms * 32 + letters.indexOf(letter);
  return ms;
}
