import 'fake-indexeddb/auto';
import { ulid } from 'ulid';
import type { TouchEvent } from '@/core/counting/event';
import { deviceName, deviceStore, sendBatch } from './device';
import type { Where } from './held-back';

const where: Where = { sessionId: 's', session: 'Thursday', block: 'Palm-up bounce', player: 'Mika' };

const event = (): TouchEvent => ({
  id: ulid(),
  blockId: 'b',
  playerId: 'p',
  kind: 'touch',
  attempt: 1,
  value: null,
  ref: null,
  atMs: Date.now(),
  monoMs: 1,
  device: 'd',
});

test('events rest on the device until they are removed, and another page finds them', async () => {
  const [a, b] = [event(), event()];
  const store = deviceStore();
  await Promise.all([store.put(a, where), store.put(b, null), store.put(a, where)]);
  const ids = async () => (await deviceStore().waiting()).map((one) => one.event.id).sort();
  expect(await ids()).toEqual([a.id, b.id].sort());
  expect((await deviceStore().waiting()).find((one) => one.event.id === a.id)).toEqual({ event: a, where });
  await store.settle([a]);
  expect(await ids()).toEqual([b.id]);
  expect(await store.settled(['b'])).toEqual([{ event: a, where }]);
  // Of its session too, should its block be gone one day; also when the server tells of it once more.
  await store.settle([a, b]);
  expect(await store.settled([], 's')).toEqual([{ event: a, where }]);
  expect(await store.settled(['b'], 's')).toHaveLength(2);
  expect(await store.settled([], 'another')).toEqual([]);
});

test('what is held back no longer waits, and is there until it is forgotten', async () => {
  const one = event();
  const store = deviceStore();
  await store.put(one, where);
  const held = { event: one, why: 'gone', message: 'is not in the plan', where, atMs: 5 } as const;
  await store.holdBack([held]);
  expect((await store.waiting()).map((kept) => kept.event.id)).not.toContain(one.id);
  expect(await deviceStore().heldBack()).toMatchObject([held]);
  await store.forget([one.id]);
  expect(await deviceStore().heldBack()).toEqual([]);
});

test('signing out leaves only what is nowhere else, under no name', async () => {
  const [waits, safe, held] = [event(), event(), event()];
  const store = deviceStore();
  await Promise.all([store.put(waits, where), store.put(safe, where), store.put(held, where)]);
  await store.settle([safe]);
  await store.holdBack([{ event: held, why: 'gone', message: 'is not in the plan', where, atMs: 5 }]);
  await store.forgetSafe();
  const nameless = { ...where, session: '', player: '' };
  const ours = [waits.id, held.id, safe.id];
  const rests = [
    ...(await store.waiting()),
    ...(await store.heldBack()),
    ...(await store.settled(['b'], 's')),
  ].filter((one) => ours.includes(one.event.id));
  expect(rests).toEqual([
    expect.objectContaining({ event: waits, where: nameless }),
    expect.objectContaining({ event: held, where: nameless }),
  ]);
  expect(JSON.stringify(rests)).not.toMatch(/Mika|Thursday/);
  await store.forget(ours);
});

describe('the store changes its form', () => {
  const opened = (version: number, upgrade: (db: IDBDatabase) => void) =>
    new Promise<IDBDatabase>((resolve, reject) => {
      const asking = indexedDB.open('vowstep', version);
      asking.onupgradeneeded = () => upgrade(asking.result);
      asking.onsuccess = () => resolve(asking.result);
      asking.onerror = () => reject(asking.error!);
    });
  beforeEach(() => void (globalThis.indexedDB = new IDBFactory()));

  test.each([1, 2])('what version %d of it kept is still there', async (version) => {
    const one = event();
    const old = await opened(version, (db) => {
      db.createObjectStore('events', { keyPath: 'id' });
      if (version < 2) return;
      const settled = db.createObjectStore('settled', { keyPath: 'id' });
      settled.createIndex('block', 'blockId');
      settled.createIndex('at', 'atMs');
    });
    await new Promise((resolve) => {
      const tx = old.transaction('events', 'readwrite');
      tx.objectStore('events').put(one);
      tx.oncomplete = resolve;
    });
    old.close();
    const store = deviceStore();
    expect((await store.waiting()).map((kept) => kept.event)).toEqual([one]);
    expect([await store.settled(['b']), await store.heldBack()]).toEqual([[], []]);
  });

  test('a page that has it open lets go for a newer one, and opens it again when it can', async () => {
    const store = deviceStore();
    await store.put(event(), null);
    const newer = await opened(4, () => undefined);
    // The newer page has it: this one can keep nothing, and says so, rather than wait for ever.
    await expect(store.put(event(), null)).rejects.toBeDefined();
    newer.close();
    expect(newer.version).toBe(4);
  });

  test('an older page that does not let go is named', async () => {
    jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick'] });
    try {
      const old = await opened(2, (db) => {
        db.createObjectStore('events', { keyPath: 'id' });
        const settled = db.createObjectStore('settled', { keyPath: 'id' });
        settled.createIndex('block', 'blockId');
        settled.createIndex('at', 'atMs');
      });
      const asking = expect(deviceStore().waiting()).rejects.toThrow('close its other tabs');
      for (let n = 0; n < 30; n++) await new Promise((resolve) => setImmediate(resolve));
      await jest.advanceTimersByTimeAsync(5000);
      await asking;
      old.close();
    } finally {
      jest.useRealTimers();
    }
  });

  test('a connection that ends by itself is opened anew', async () => {
    const store = deviceStore();
    const one = event();
    await store.put(one, null);
    const made = IDBDatabase.prototype.transaction;
    let ends = 1;
    IDBDatabase.prototype.transaction = function (this: IDBDatabase, ...args: Parameters<typeof made>) {
      if (ends-- > 0) throw new DOMException('The database connection is closing.', 'InvalidStateError');
      return made.apply(this, args);
    } as typeof made;
    try {
      expect((await store.waiting()).map((kept) => kept.event.id)).toEqual([one.id]);
    } finally {
      IDBDatabase.prototype.transaction = made;
    }
  });
});

test('a device without a store for names still gets one, on plain http too', () => {
  // What a page has where its address is not secure.
  const whole = globalThis.crypto;
  Object.defineProperty(globalThis, 'crypto', {
    configurable: true,
    value: { getRandomValues: whole.getRandomValues.bind(whole) },
  });
  try {
    const [one, other] = [deviceName(), deviceName()];
    expect(one).toMatch(/^[\w-]{36}$/);
    expect(other).not.toBe(one);
  } finally {
    Object.defineProperty(globalThis, 'crypto', { configurable: true, value: whole });
  }
});

describe('what the server answers', () => {
  const real = globalThis.fetch;
  afterEach(() => void (globalThis.fetch = real));
  const answer = (status: number, body: unknown) => {
    globalThis.fetch = async () => new Response(JSON.stringify(body), { status });
  };

  test.each([
    [200, { stored: 1, build: 'x' }, { kind: 'stored', build: 'x' }],
    [
      400,
      {
        problems: [{ field: 'events', message: 'No.' }],
        refused: [{ index: 0, id: 'x', why: 'gone', message: 'is gone' }],
      },
      { kind: 'refused', message: 'No.', refused: [{ index: 0, id: 'x', why: 'gone', message: 'is gone' }] },
    ],
    [413, {}, { kind: 'refused', message: 'it did not say why.', refused: undefined }],
    [410, { problems: [{ field: 'link', message: 'Over.' }] }, { kind: 'closed', message: 'Over.' }],
    // Something in it, or the server itself: the batch is halved until that is known.
    [500, {}, { kind: 'failed', message: 'it did not say why.' }],
    // A database that takes nothing just now is no verdict on the touches: they are sent again.
    [
      401,
      { problems: [{ message: 'You are signed out.' }] },
      { kind: 'unreachable', message: 'You are signed out.' },
    ],
    [
      503,
      { problems: [{ message: 'The disk is full.' }] },
      { kind: 'unreachable', message: 'The disk is full.' },
    ],
    [404, {}, { kind: 'unreachable' }],
  ])('%d', async (status, body, result) => {
    answer(status, body);
    expect(await sendBatch([event()])).toEqual(result);
  });

  test('no answer at all, or one that breaks off, is out of reach', async () => {
    globalThis.fetch = () => Promise.reject(new TypeError('Failed to fetch'));
    expect(await sendBatch([event()])).toEqual({ kind: 'unreachable' });
    globalThis.fetch = async () => new Response('{"problems": [', { status: 400 });
    expect(await sendBatch([event()])).toEqual({ kind: 'unreachable' });
  });
});
