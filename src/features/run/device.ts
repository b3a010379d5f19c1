import { openDB, type IDBPDatabase } from 'idb';
import type { TouchEvent } from '@/core/counting/event';
import type { EventStore, SendResult } from './run-log';

/** Events on their way, and events the server has: the second let a reload without the server show every count. */
const waitingName = 'events';
const settledName = 'settled';
/** What the server has rests here so long, milliseconds: ours. */
const keptForMs = 3 * 24 * 3600 * 1000;

/** Events on this device, in IndexedDB. Every fresh one is written strictly: it is on the disk when the promise resolves. */
export function deviceStore(): EventStore {
  let opening: Promise<IDBPDatabase> | null = null;
  const open = () =>
    (opening ??= openDB('vowstep', 2, {
      upgrade: (db, from) => {
        if (from < 1) db.createObjectStore(waitingName, { keyPath: 'id' });
        const settled = db.createObjectStore(settledName, { keyPath: 'id' });
        settled.createIndex('block', 'blockId');
        settled.createIndex('at', 'atMs');
      },
    }).then(async (db) => {
      await forgetOld(db);
      return db;
    }));
  return {
    waiting: async () => (await open()).getAll(waitingName) as Promise<TouchEvent[]>,
    put: async (event) => {
      const tx = (await open()).transaction(waitingName, 'readwrite', { durability: 'strict' });
      await Promise.all([tx.store.put(event), tx.done]);
    },
    settle: async (events) => {
      const tx = (await open()).transaction([waitingName, settledName], 'readwrite');
      const [waiting, settled] = [tx.objectStore(waitingName), tx.objectStore(settledName)];
      await Promise.all([
        ...events.flatMap((event) => [settled.put(event), waiting.delete(event.id)]),
        tx.done,
      ]);
    },
    settled: async (blockIds) => {
      const db = await open();
      const lists = blockIds.map(
        (id) => db.getAllFromIndex(settledName, 'block', id) as Promise<TouchEvent[]>,
      );
      return (await Promise.all(lists)).flat();
    },
  };
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
    const fresh = crypto.randomUUID();
    localStorage.setItem('vowstep-device', fresh);
    return fresh;
  } catch {
    return crypto.randomUUID();
  }
}

const patienceMs = 10_000;

/** Sends batches to an address. What is not plainly stored, refused or closed counts as out of reach, and is sent again. */
export function sendTo(address: string): (events: readonly TouchEvent[]) => Promise<SendResult> {
  return async (events) => {
    try {
      const response = await fetch(address, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ events }),
        signal: AbortSignal.timeout(patienceMs),
      });
      if (response.ok) return { kind: 'stored' };
      const kind =
        response.status === 410 ? 'closed' : [400, 413].includes(response.status) ? 'refused' : null;
      if (kind === null) return { kind: 'unreachable' };
      const body = (await response.json()) as { problems?: { message: string }[] };
      return { kind, message: body.problems?.[0]?.message ?? 'it did not say why.' };
    } catch {
      return { kind: 'unreachable' };
    }
  };
}

/** Sends a batch of the coach's. */
export const sendBatch = sendTo('/api/touches');
