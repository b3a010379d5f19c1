import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { newName } from './names';

/** One picture of a clip that a coach kept on purpose: on this device alone, in no book and in no copy of it. */
export interface Still {
  readonly id: string;
  readonly playerId: string;
  /** What it is of: drill and step, and where in the clip. */
  readonly words: string;
  readonly atMs: number;
  /** JPEG. */
  readonly picture: Blob;
}

interface Stills extends DBSchema {
  stills: { key: string; value: Still; indexes: { player: string } };
}

const open = (): Promise<IDBPDatabase<Stills>> =>
  openDB<Stills>('vowstep-stills', 1, {
    upgrade: (db) => void db.createObjectStore('stills', { keyPath: 'id' }).createIndex('player', 'playerId'),
  });

async function using<T>(work: (db: IDBPDatabase<Stills>) => Promise<T>): Promise<T> {
  const db = await open();
  try {
    return await work(db);
  } finally {
    db.close();
  }
}

export const keepStill = (still: Omit<Still, 'id'>): Promise<string> =>
  using((db) => db.put('stills', { ...still, id: newName() }));

/** A player's stills on this device, the newest first. */
export const stillsOf = (playerId: string): Promise<Still[]> =>
  using(async (db) =>
    (await db.getAllFromIndex('stills', 'player', playerId)).sort((a, b) => b.atMs - a.atMs),
  );

/** How many stills there are on this device, of anybody. */
export const countStills = (): Promise<number> => using((db) => db.count('stills'));

export const dropAllStills = (): Promise<void> => using((db) => db.clear('stills'));

export const dropStill = (id: string): Promise<void> => using((db) => db.delete('stills', id));

/** Brings one back that was dropped. */
export const restoreStill = (still: Still): Promise<string> => using((db) => db.put('stills', still));

/**
 * Drops the stills of children who are in the book no more.
 * @param isThere whether a player still is; when nobody can say, nothing is dropped
 * @returns how many went
 */
export const sweepStills = (isThere: (playerId: string) => Promise<boolean | null>): Promise<number> =>
  using(async (db) => {
    const all = await db.getAll('stills');
    const players = [...new Set(all.map(({ playerId }) => playerId))];
    const gone = new Set<string>();
    for (const id of players) if ((await isThere(id)) === false) gone.add(id);
    const theirs = all.filter(({ playerId }) => gone.has(playerId));
    for (const { id } of theirs) await db.delete('stills', id);
    return theirs.length;
  });

/** Asks the server whether a player is in the book: removed for good, there is no page of theirs. */
export async function playerIsThere(playerId: string): Promise<boolean | null> {
  try {
    const { status, redirected } = await fetch(`/players/${playerId}`, { method: 'HEAD' });
    return status === 404 ? false : status === 200 && !redirected ? true : null;
  } catch {
    return null;
  }
}
