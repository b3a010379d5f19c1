import { aimThings } from './aim-things';
import type { Thing, ThingName, Value } from './fields';
import { houseThings } from './house-things';
import { sessionThings } from './session-things';

export type { Field, Thing, ThingName, Value } from './fields';

/*
 * What a file with the book in it holds, thing by thing, in the order in which they hang on each other. The JSON Schema
 * in docs/book.schema.json, the check of what comes in, and what is written out are all made of this list.
 */
export const things: Readonly<Record<ThingName, Thing>> = { ...houseThings, ...sessionThings, ...aimThings };
/** In the order in which they hang on each other. */
export const thingNames = Object.keys(things) as ThingName[];

/** One thing, its fields in their order. */
export type Entry = Readonly<Record<string, Value>>;

export const bundleFormat = 'vowstep-book';
/** Goes up with every change that an older reader would misread; older ones are read for ever. */
export const bundleVersion = 2;

export const parts = ['book', 'child', 'session', 'drills', 'places'] as const;
/** What of the book a file holds. */
export type Part = (typeof parts)[number];

/** A file with the book, or a part of it. */
export interface Bundle {
  readonly part: Part;
  /** Local ISO day. */
  readonly madeOn: string;
  readonly entries: Readonly<Partial<Record<ThingName, readonly Entry[]>>>;
}

/** What tells an entry from others of its kind, as text. */
export const keyOf = (name: ThingName, entry: Entry): string =>
  things[name].key.map((field) => String(entry[field])).join(' ');
