import { openDB, type IDBPDatabase } from 'idb';
import type { TouchEvent } from '@/core/counting/event';
import type { EventStore, SendResult } from './run-log';

const storeName = 'events';

/** Events on this device, in IndexedDB. Every write is strict: it is on the disk when the promise resolves. */
export function deviceStore(): EventStore {
  let opening: Promise<IDBPDatabase> | null = null;
  const open = () =>
    (opening ??= openDB('vowstep', 1, {
      upgrade: (db) => void db.createObjectStore(storeName, { keyPath: 'id' }),
    }));
  return {
    all: async () => (await open()).getAll(storeName) as Promise<TouchEvent[]>,
    put: async (event) => {
      const tx = (await open()).transaction(storeName, 'readwrite', { durability: 'strict' });
      await Promise.all([tx.store.put(event), tx.done]);
    },
    remove: async (ids) => {
      const tx = (await open()).transaction(storeName, 'readwrite');
      await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done]);
    },
  };
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

/** Sends a batch to the server. What is not plainly stored or refused counts as out of reach, and is sent again. */
export async function sendBatch(events: readonly TouchEvent[]): Promise<SendResult> {
  try {
    const response = await fetch('/api/touches', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events }),
      signal: AbortSignal.timeout(patienceMs),
    });
    if (response.ok) return { kind: 'stored' };
    if (response.status !== 400 && response.status !== 413) return { kind: 'unreachable' };
    const body = (await response.json()) as { problems?: { message: string }[] };
    return { kind: 'refused', message: body.problems?.[0]?.message ?? 'it did not say why.' };
  } catch {
    return { kind: 'unreachable' };
  }
}
