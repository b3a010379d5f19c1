/** A group by its letter: A, B, C. */
export const groupLetter = (group: number): string => String.fromCharCode(65 + group);

/** "Stations 2 to 4" by their numbers in the plan, from 1. */
export const numbersOf = (first: number, count: number): string =>
  count > 1 ? `${first}–${first + count - 1}` : String(first);
