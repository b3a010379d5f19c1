/*
 * How a mark came about, where nobody pressed or typed it: heard, seen in a clip, or felt by the player; with the version of
 * what counted, because a better ear may count otherwise one day.
 */

export const earOrigin = 'ear 1';
export const clipOrigin = 'clip 1';
export const feltOrigin = 'felt';

const form = /^(?:(?:ear|clip) [1-9]\d{0,2}|felt)$/;

/** Is it one that may stand in a log? */
export const isOrigin = (value: unknown): value is string => typeof value === 'string' && form.test(value);

/** "by ear", "from a clip", "as felt"; of anything else nothing. */
export function countedInWords(origin: string | null | undefined): string {
  if (!origin) return '';
  if (origin.startsWith('ear')) return 'by ear';
  return origin.startsWith('clip') ? 'from a clip' : origin === feltOrigin ? 'as felt' : '';
}

/** Was it heard on court, by a row or a box at once? */
export const isByEar = (origin: string | null | undefined): boolean => origin?.startsWith('ear ') === true;

/** Heard moments are truer than those of a finger. */
export const isHeard = (origin: string | null | undefined): boolean =>
  isByEar(origin) || origin?.startsWith('clip ') === true;
