import { done, refused, type Outcome } from '@/core/outcome';
import { bundleText } from '@/formats/bundle/write';
import {
  parts,
  thingNames,
  type Bundle,
  type Entry,
  type Part,
  type ThingName,
} from '@/formats/bundle/things';
import { entriesOf, whereOf } from '@/data/bundle';
import { getSession } from '@/data/session';
import { getPlayers } from '@/data/squad';
import type { Context } from '../context';
import { resultsReady } from '../log/results';

/** The book, or a part of it, as a bundle; coaches, passcodes, links and what was done are no part of any. */
export async function bundleFor({ db, today }: Context, part: Part, id = ''): Promise<Outcome<Bundle>> {
  if (part === 'child' && (await getPlayers(db, [id])).length === 0)
    return refused('player', 'This player is not on record (any more).');
  if (part === 'session' && !(await getSession(db, id)))
    return refused('session', 'This session is not on record (any more).');
  await resultsReady(db);
  const where = whereOf(part, id);
  const entries: Partial<Record<ThingName, Entry[]>> = {};
  for (const name of thingNames) if (where[name]) entries[name] = await entriesOf(db, name, where[name]);
  return done({ part, madeOn: today, entries });
}

export const isPart = (value: unknown): value is Part => parts.includes(value as Part);

/** A bundle's bytes in pieces of a good size. */
export function* bundleBytes(bundle: Bundle): Generator<Uint8Array> {
  const encoder = new TextEncoder();
  let gathered = '';
  for (const piece of bundleText(bundle)) {
    gathered += piece;
    if (gathered.length < pieceLength) continue;
    yield encoder.encode(gathered);
    gathered = '';
  }
  yield encoder.encode(gathered);
}

const pieceLength = 256 * 1024;
