const [kb, mb] = [1024, 2 ** 20];

/** What may be sent to each door, bytes. Ours. */
export const bodyLimits = {
  /** 250 events of the longest kind are some 80 KB, a note in each 50 KB more, and what a dozen blocks are 100 KB. */
  touches: 256 * kb,
  /** A book of five years is some 30 MB. */
  book: 48 * mb,
  /** The whole catalogue is a third of it. */
  drills: 3 * mb,
  /** A club's squad or year is some hundred KB. */
  table: 2 * mb,
  /** A wish for a track is a few hundred letters. */
  track: 4 * kb,
  /** Two hundred numbers and a few names are some kilobytes. */
  challenge: 64 * kb,
  /** Actions are sent to the page that asks. The largest is a plan of forty blocks; files have routes of their own. */
  action: 512 * kb,
  /** Whoever is not signed in: a name and a passcode, or a handful of counts. */
  stranger: 8 * kb,
} as const;

const byPath: readonly (readonly [pattern: RegExp, bytes: number])[] = [
  [/^\/api\/book$/, bodyLimits.book],
  [/^\/api\/drills$/, bodyLimits.drills],
  [/^\/api\/tables\/[^/]*$/, bodyLimits.table],
  [/^\/api\/track$/, bodyLimits.track],
  [/^\/api\/challenges\/[^/]*$/, bodyLimits.challenge],
  [/^\/api\/touches$/, bodyLimits.touches],
  [/^\/api\/(?:help|vow|sessions)\/[^/]*\/touches$/, bodyLimits.touches],
  // No other route takes anything.
  [/^\/api\//, bodyLimits.stranger],
];

/** The most that may be sent to an address, bytes. @param path without what stands after a `?` */
export const bodyLimitOf = (path: string): number =>
  byPath.find(([pattern]) => pattern.test(path))?.[1] ?? bodyLimits.action;

export const sizeInWords = (bytes: number): string =>
  bytes >= mb ? `${Math.round(bytes / mb)} MB` : `${Math.round(bytes / kb)} KB`;
