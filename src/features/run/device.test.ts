import 'fake-indexeddb/auto';
import { ulid } from 'ulid';
import type { TouchEvent } from '@/core/counting/event';
import { deviceName, deviceStore, sendBatch } from './device';

const event = (): TouchEvent => ({
  id: ulid(),
  blockId: 'b',
  playerId: 'p',
  kind: 'touch',
  attempt: 1,
  value: null,
  ref: null,
  atMs: 1,
  monoMs: 1,
  device: 'd',
});

test('events rest on the device until they are removed, and another page finds them', async () => {
  const [a, b] = [event(), event()];
  const store = deviceStore();
  await Promise.all([store.put(a), store.put(b), store.put(a)]);
  const ids = async () => (await deviceStore().waiting()).map((one) => one.id).sort();
  expect(await ids()).toEqual([a.id, b.id].sort());
  await store.settle([a]);
  expect(await ids()).toEqual([b.id]);
});

test('a device without a store for names still gets one', () => {
  expect(deviceName()).toMatch(/^[\w-]{36}$/);
});

describe('what the server answers', () => {
  const real = globalThis.fetch;
  afterEach(() => void (globalThis.fetch = real));
  const answer = (status: number, body: unknown) => {
    globalThis.fetch = async () => new Response(JSON.stringify(body), { status });
  };

  test.each([
    [200, { stored: 1 }, { kind: 'stored' }],
    [400, { problems: [{ field: 'events', message: 'No.' }] }, { kind: 'refused', message: 'No.' }],
    [413, {}, { kind: 'refused', message: 'it did not say why.' }],
    // Trouble of the server's own is no verdict on the touches: they are sent again.
    [500, {}, { kind: 'unreachable' }],
    [503, {}, { kind: 'unreachable' }],
    [403, {}, { kind: 'unreachable' }],
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
