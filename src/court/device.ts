import { openDB, type IDBPDatabase, type IDBPTransaction } from 'idb';
import type { TouchEvent } from '@/core/counting/event';
import type { RefusedEvent } from '@/schemas/touches';
import { nameless, type EventStore, type HeldBack, type KeptEvent, type Where } from './held-back';
import { dropKeptPages } from './kept-pages';
import { newName } from './names';
import type { SendResult } from './outbox';

/** Events on their way, events the server has (they let a reload without it show every count), and events it does not take. */
const [waitingName, settledName, heldBackName] = ['events', 'settled', 'held-back'] as const;
/** What the server has rests here so long, milliseconds: ours. */
const keptForMs = 3 * 24 * 3600 * 1000;

type Kept = TouchEvent & { readonly where?: Where | null };
const withWhere = (event: TouchEvent, where: Where | null | undefined): Kept => ({
  ...event,
  ...(where && { where }),
});
const asKept = ({ where = null, ...event }: Kept): KeptEvent => ({ event, where });

type Held = HeldBack & { readonly id: string };

/**
 * Events on this device, in IndexedDB. Every fresh one is written strictly: it is on the disk when the promise resolves.
 * A newer page may change the store's form: an older one lets go of it and opens it again, and what ended is opened anew.
 */
export function deviceStore(): EventStore {
  let opening: Promise<IDBPDatabase> | null = null;
  const forget = () => (opening = null);
  const open = () =>
    (opening ??= openStore(forget).catch((error: unknown) => (forget(), Promise.reject(error))));

  /** Does something with the store; once more with a fresh one when the store was taken away under it. */
  const using = async <T>(work: (db: IDBPDatabase) => Promise<T>): Promise<T> => {
    const db = await open();
    try {
      return await work(db);
    } catch (error) {
      if ((error as { name?: unknown }).name !== 'InvalidStateError') throw error;
      forget();
      return work(await open());
    }
  };
  return {
    waiting: () => using(async (db) => ((await db.getAll(waitingName)) as Kept[]).map(asKept)),
    put: (event, where) =>
      using(async (db) => {
        const tx = db.transaction(waitingName, 'readwrite', { durability: 'strict' });
        await Promise.all([tx.store.put(withWhere(event, where)), tx.done]);
      }),
    settle: (events) =>
      using(async (db) => {
        const tx = db.transaction([waitingName, settledName], 'readwrite');
        const [waiting, settled] = [tx.objectStore(waitingName), tx.objectStore(settledName)];
        const moved = events.map(async (event) => {
          const known = ((await waiting.get(event.id)) ?? (await settled.get(event.id))) as Kept | undefined;
          await Promise.all([settled.put(withWhere(event, known?.where)), waiting.delete(event.id)]);
        });
        await Promise.all([...moved, tx.done]);
      }),
    settled: (blockIds, sessionId) =>
      using(async (db) => {
        const lists = blockIds.map((id) => db.getAllFromIndex(settledName, 'block', id) as Promise<Kept[]>);
        if (sessionId !== undefined) lists.push(db.getAllFromIndex(settledName, 'session', sessionId));
        const kept = (await Promise.all(lists)).flat().map(asKept);
        return [...new Map(kept.map((one) => [one.event.id, one])).values()];
      }),
    holdBack: (events) =>
      using(async (db) => {
        const names = [waitingName, settledName, heldBackName];
        const tx = db.transaction(names, 'readwrite', { durability: 'strict' });
        await Promise.all([
          ...events.flatMap((one) => [
            tx.objectStore(heldBackName).put({ ...one, id: one.event.id } satisfies Held),
            tx.objectStore(waitingName).delete(one.event.id),
            // It may have been safe once, in a book that is gone.
            tx.objectStore(settledName).delete(one.event.id),
          ]),
          tx.done,
        ]);
      }),
    heldBack: () => using(async (db) => (await db.getAll(heldBackName)) as Held[]),
    forget: (ids) =>
      using(async (db) => {
        const names = [waitingName, settledName, heldBackName];
        const tx = db.transaction(names, 'readwrite');
        await Promise.all([
          ...ids.flatMap((id) => names.map((name) => tx.objectStore(name).delete(id))),
          tx.done,
        ]);
      }),
    forgetSafe: () =>
      using(async (db) => {
        const tx = db.transaction([waitingName, settledName, heldBackName], 'readwrite');
        const strip = async (name: typeof waitingName | typeof heldBackName) => {
          const store = tx.objectStore(name);
          const named = ((await store.getAll()) as (Kept | Held)[]).filter(({ where }) => where);
          await Promise.all(named.map((one) => store.put({ ...one, where: nameless(one.where!) })));
        };
        await Promise.all([
          tx.objectStore(settledName).clear(),
          strip(waitingName),
          strip(heldBackName),
          tx.done,
        ]);
      }),
  };
}

/** Says that an older page of Vow Step keeps the store from being renewed. */
const blocked =
  'An older page of Vow Step is open in this browser: close its other tabs, so that counts can be kept here.';
/** An older page has so long to let go, milliseconds. */
const letGoMs = 4000;

function openStore(gone: () => void): Promise<IDBPDatabase> {
  return new Promise((resolve, reject) => {
    let waiting: ReturnType<typeof setTimeout> | undefined;
    openDB('vowstep', 3, {
      upgrade,
      // An older page has it open, and lets go of it as soon as it is told to, unless it stands still.
      blocked: () => (waiting = setTimeout(() => reject(new Error(blocked)), letGoMs)),
      // A newer page wants to change it: this one lets go, and opens it again when it needs it.
      blocking: (_now, _next, event) => {
        (event.target as IDBDatabase).close();
        gone();
      },
      terminated: gone,
    })
      .then(async (db) => {
        await forgetOld(db);
        resolve(db);
      })
      .catch(reject)
      .finally(() => clearTimeout(waiting));
  });
}

function upgrade(
  db: IDBPDatabase,
  from: number,
  _to: number | null,
  tx: IDBPTransaction<unknown, string[], 'versionchange'>,
): void {
  if (from < 1) db.createObjectStore(waitingName, { keyPath: 'id' });
  if (from < 2) {
    const settled = db.createObjectStore(settledName, { keyPath: 'id' });
    settled.createIndex('block', 'blockId');
    settled.createIndex('at', 'atMs');
  }
  if (from < 3) {
    db.createObjectStore(heldBackName, { keyPath: 'id' });
    tx.objectStore(settledName).createIndex('session', 'where.sessionId');
  }
}

/** What is long safe on the server need not rest here. */
async function forgetOld(db: IDBPDatabase): Promise<void> {
  const tx = db.transaction(settledName, 'readwrite');
  const old = IDBKeyRange.upperBound(Date.now() - keptForMs);
  for (const key of await tx.store.index('at').getAllKeys(old)) void tx.store.delete(key);
  await tx.done;
}

/** A name for this device, made up once; it says nothing about who holds it. */
export function deviceName(): string {
  try {
    const known = localStorage.getItem('vowstep-device');
    if (known) return known;
    const fresh = newName();
    localStorage.setItem('vowstep-device', fresh);
    return fresh;
  } catch {
    return newName();
  }
}

const patienceMs = 10_000;

interface Answer {
  readonly build?: string;
  readonly problems?: readonly { readonly message: string }[];
  readonly refused?: readonly RefusedEvent[];
}

/**
 * Sends batches to an address. What the server says about the batch is told apart from what it says about itself: a
 * database that takes nothing just now, or no answer at all, is out of reach, and the batch comes again as it is.
 */
export function sendTo(address: string): (events: readonly TouchEvent[]) => Promise<SendResult> {
  return async (events) => {
    try {
      const response = await fetch(address, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ events }),
        signal: AbortSignal.timeout(patienceMs),
      });
      const body = (await response.json()) as Answer;
      const message = body.problems?.[0]?.message ?? 'it did not say why.';
      if (response.ok) return { kind: 'stored', build: body.build };
      switch (response.status) {
        case 410:
          return { kind: 'closed', message };
        case 400:
        case 413:
          return { kind: 'refused', message, refused: body.refused };
        case 500:
          return { kind: 'failed', message };
        // Whoever was signed out meanwhile counts on, and all of it goes once they are in again; what was kept to be opened
        // again without the server is nobody's any more.
        case 401:
          void dropKeptPages().catch(() => undefined);
          return { kind: 'unreachable', message };
        case 403:
        case 429:
        case 503:
          return { kind: 'unreachable', message };
        default:
          return { kind: 'unreachable' };
      }
    } catch {
      return { kind: 'unreachable' };
    }
  };
}

/** Sends a batch of the coach's. */
export const sendBatch = sendTo('/api/touches');
