import { done, refused, type Outcome } from '@/core/base/outcome';
import { bundleEnd, bundleHead, entryText, thingEnd, thingHead } from '@/formats/bundle/write';
import {
  parts,
  thingNames,
  type Bundle,
  type Entry,
  type Part,
  type ThingName,
} from '@/formats/bundle/things';
import { entriesInPieces, entriesOf, whereOf } from '@/data/bundle';
import { momentOf } from '@/data/moment';
import { getSession } from '@/data/session';
import { getPlayers } from '@/data/squad';
import type { Context } from '../base/context';
import { resultsReady } from '../court/results';

/** Whether there is such a part of the book. */
export async function partIsThere({ db }: Pick<Context, 'db'>, part: Part, id = ''): Promise<Outcome<null>> {
  if (part === 'child' && (await getPlayers(db, [id])).length === 0)
    return refused('player', 'This player is not on record (any more).');
  if (part === 'session' && !(await getSession(db, id)))
    return refused('session', 'This session is not on record (any more).');
  return done(null);
}

/** The book, or a part of it, as a bundle; coaches, passcodes, links and what was done are no part of any. */
export async function bundleFor(context: Context, part: Part, id = ''): Promise<Outcome<Bundle>> {
  const { db, today } = context;
  const there = await partIsThere(context, part, id);
  if (!there.ok) return there;
  await resultsReady(db);
  const where = whereOf(part, id);
  const entries: Partial<Record<ThingName, Entry[]>> = {};
  for (const name of thingNames) if (where[name]) entries[name] = await entriesOf(db, name, where[name]);
  return done({ part, madeOn: today, entries });
}

export const isPart = (value: unknown): value is Part => parts.includes(value as Part);

/**
 * The same as a stream of text, for a book of any size: what it says is what was in the book at one moment, read by a
 * process of its own where the book is a file, so that whoever counts goes on.
 */
export async function* bundleStream(context: Context, part: Part, id = ''): AsyncGenerator<string> {
  const { db, today } = context;
  await resultsReady(db);
  const where = whereOf(part, id);
  yield bundleHead(part, today);
  yield* momentOf(db, async function* (read) {
    for (const name of thingNames) {
      if (!where[name]) continue;
      yield thingHead(name);
      let first = true;
      for await (const some of entriesInPieces(read, name, where[name])) {
        yield some.map((entry, index) => entryText(name, entry, first && index === 0)).join('');
        first &&= some.length === 0;
      }
      yield thingEnd(name);
    }
  });
  yield bundleEnd;
}
