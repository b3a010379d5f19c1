/**
 * Where a number comes from.
 * - `published`: a standard, handbook or paper, named in the note
 * - `practice`: common practice of the trade, no published source
 * - `ours`: our own cautious choice
 * - `memory`: a published value written down from memory, not looked up
 */
export type Origin = 'published' | 'practice' | 'ours' | 'memory';

/** A number that says where it comes from. */
export interface Sourced {
  readonly value: number;
  readonly origin: Origin;
  readonly note?: string;
}

const inWords: Record<Origin, string> = {
  published: 'published',
  practice: 'common practice',
  ours: 'a cautious choice of this book',
  memory: 'published, quoted from memory',
};

/** The origin as a person reads it, with the note where there is one. */
export function originInWords(sourced: Pick<Sourced, 'origin' | 'note'>): string {
  return sourced.note ? `${inWords[sourced.origin]}: ${sourced.note}` : inWords[sourced.origin];
}
