/**
 * Lines of caution for one session by age, each a whole number of actions. They are not laws: over them the screen warns.
 * Foot contacts: 80 to 100 a session for beginners of full age (strength-and-conditioning handbooks, NSCA, written
 * down from memory); smaller for children by our own cautious choice. Overhead and fast forearm actions: ours.
 */
const byBand = [
  { upTo: 6, contacts: 40, overheads: 20, forearm: 12 },
  { upTo: 9, contacts: 60, overheads: 30, forearm: 20 },
  { upTo: 12, contacts: 80, overheads: 45, forearm: 30 },
  { upTo: Infinity, contacts: 100, overheads: 60, forearm: 45 },
] as const;

export type Capped = 'contacts' | 'overheads' | 'forearm';

export function sessionCap(age: number, what: Capped): number {
  return byBand.find((band) => age <= band.upTo)![what];
}

/** All that has a line. */
export const cappedKinds: readonly Capped[] = ['contacts', 'overheads', 'forearm'];

/** A week holds three times a session's line: ours. */
export const weekCaps = 3;

export const cappedWords: Readonly<Record<Capped, string>> = {
  contacts: 'landings from jumps and hops',
  overheads: 'overhead actions',
  forearm: 'fast forearm actions',
};

/** Minutes of all vows of one day at home: ours. */
export const homeMinutes = 15;

/** Minutes of moving work for one session by age, in which form still holds: ours. */
export function sessionMinutes(age: number): number {
  if (age <= 6) return 45;
  if (age <= 9) return 60;
  return age <= 12 ? 90 : 120;
}

/** Seconds between drink breaks by air temperature, °C: ours; in the cold thirst is late, so it is never more. */
export function drinkEveryS(airC: number | null): number {
  if (airC !== null && airC >= 32) return 10 * 60;
  if (airC !== null && airC >= 27) return 15 * 60;
  return 20 * 60;
}
/** From here on the work itself should move to the shade or to another hour: ours. */
export const tooHotC = 35;
/** A drink takes a minute: ours. */
export const drinkS = 60;
/** A share of one-sided tries over which the other side is asked for: ours. */
export const oneSided = 0.8;
/** Fewer tries than this say nothing about one side: ours. */
export const fewTries = 60;
