/** Racket lengths, inches, and the standing height from which each is usual, cm: common practice of the trade. */
const sizes = [
  { lengthIn: 19, fromCm: 0 },
  { lengthIn: 21, fromCm: 102 },
  { lengthIn: 23, fromCm: 114 },
  { lengthIn: 25, fromCm: 127 },
  { lengthIn: 26, fromCm: 140 },
  { lengthIn: 27, fromCm: 150 },
] as const;

const metresPerInch = 0.0254;
export const inchesToMetres = (inches: number): number => inches * metresPerInch;

/** The usual racket for a standing height, and the sizes beside it. */
export function racketFor(heightM: number): { value: number; low: number; high: number } {
  const at = sizes.findLastIndex((size) => heightM * 100 >= size.fromCm);
  const lengthAt = (index: number) => sizes[Math.min(sizes.length - 1, Math.max(0, index))]!.lengthIn;
  return { value: lengthAt(at), low: lengthAt(at - 1), high: lengthAt(at + 1) };
}

/**
 * The usual ball stage of an age: International Tennis Federation, play-and-stay recommendations, written down from
 * memory (red to 8, orange 8 to 10, green 9 to 10 and up, yellow from 11).
 */
export function stageFor(age: number): 'red' | 'orange' | 'green' | 'yellow' {
  if (age <= 8) return 'red';
  if (age === 9) return 'orange';
  return age === 10 ? 'green' : 'yellow';
}
