/**
 * A number from a text: the same for the same text, another for nearly any other (one in four thousand million).
 * FNV-1a, 32 bits (Fowler, Noll & Vo; offset basis and prime from memory), over its UTF-16 units.
 */
export function seedOf(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) {
    hash ^= text.charCodeAt(i);
    hash = Math.imul(hash, 0x01000193);
  }
  return hash >>> 0;
}

/** A short name for a text: {@link seedOf} in base 36. */
export const fingerprint = (text: string): string => seedOf(text).toString(36);
