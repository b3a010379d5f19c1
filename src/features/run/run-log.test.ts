import fc from 'fast-check';
import type { TouchEvent } from '@/core/counting/event';
import { tally } from '@/core/counting/tally';
import { RunLog, type EventStore, type SendResult } from './run-log';

/** A device store and a server in memory; both can be told to fail. */
function world() {
  const kept = new Map<string, TouchEvent>();
  const settled = new Map<string, TouchEvent>();
  const server = new Map<string, TouchEvent>();
  const jobs: (() => void)[] = [];
  let nowMs = 1_000_000;
  const state = {
    storeFails: false,
    answer: (_events: readonly TouchEvent[]): SendResult['kind'] => 'stored',
    sent: 0,
  };
  const store: EventStore = {
    waiting: async () => {
      if (state.storeFails) throw new Error('closed');
      return [...kept.values()];
    },
    put: async (event) => {
      if (state.storeFails) throw new Error('full');
      kept.set(event.id, event);
    },
    settle: async (events) =>
      events.forEach((event) => {
        kept.delete(event.id);
        settled.set(event.id, event);
      }),
    settled: async (blockIds) => [...settled.values()].filter((event) => blockIds.includes(event.blockId)),
  };
  const open = (device = 'd1', mine?: (event: TouchEvent) => boolean) =>
    new RunLog([...server.values()], {
      store,
      send: async (events) => {
        state.sent += 1;
        const kind = state.answer(events);
        if (kind === 'refused') return { kind, message: 'No.' };
        if (kind === 'closed') return { kind, message: 'This link was withdrawn.' };
        // The worst kind of cut: stored, but the answer is lost.
        for (const event of events) server.set(event.id, event);
        return { kind };
      },
      later: (job) => void jobs.push(job),
      clock: { now: () => (nowMs += 100), mono: () => nowMs },
      device,
      blockIds: ['b'],
      mine,
    });
  const runJobs = () => jobs.splice(0).forEach((job) => job());
  return { kept, server, state, open, runJobs, setClock: (ms: number) => (nowMs = ms) };
}

const touch = { blockId: 'b', playerId: 'p', kind: 'touch' } as const;

test('a touch shows at once, is kept next, and is safe when the server has it', async () => {
  const { open, kept, server } = world();
  const log = open();
  const keeping = log.log(touch);
  expect(log.events('b', 'p')).toHaveLength(1);
  expect(log.state()).toMatchObject({ loose: 1, safe: 0 });
  await keeping;
  expect(log.state()).toMatchObject({ loose: 0, waiting: 1 });
  expect(kept.size).toBe(1);
  await log.flush();
  expect(log.state()).toMatchObject({ waiting: 0, safe: 1 });
  expect([kept.size, server.size]).toEqual([0, 1]);
});

test('a page that goes before sending leaves its touches to the next one', async () => {
  const { open, server, state } = world();
  state.answer = () => 'unreachable';
  const first = open();
  await first.log(touch);
  await first.log(touch);
  await first.flush();
  expect(first.state()).toMatchObject({ waiting: 2, reachable: false });
  server.clear();
  const second = open();
  await second.opened;
  expect(second.events('b', 'p')).toHaveLength(2);
  state.answer = () => 'stored';
  await second.flush();
  expect(server.size).toBe(2);
  expect(second.state()).toMatchObject({ waiting: 0, safe: 2, reachable: true });
});

test('a lost answer means sending again, and counting once', async () => {
  const { open, server, state, runJobs } = world();
  const log = open();
  let cuts = 2;
  state.answer = () => (cuts-- > 0 ? 'unreachable' : 'stored');
  await log.log(touch);
  for (let i = 0; i < 4; i++) {
    runJobs();
    await log.flush();
  }
  expect(server.size).toBe(1);
  expect(tally(log.events('b', 'p'), 'row').touches).toBe(1);
});

test('one refused event does not hold up the others, and is kept', async () => {
  const { open, server, kept, state } = world();
  const log = open();
  for (let i = 0; i < 7; i++) await log.log({ ...touch, blockId: i === 3 ? 'gone' : 'b' });
  state.answer = (events) => (events.some((event) => event.blockId === 'gone') ? 'refused' : 'stored');
  await log.flush();
  expect(server.size).toBe(6);
  expect(log.state()).toMatchObject({
    heldBack: 1,
    waiting: 0,
    trouble: expect.stringContaining('kept on this device'),
  });
  expect([...kept.values()].map((event) => event.blockId)).toEqual(['gone']);
});

test('a store that is full or closed is said, and touches still reach the server', async () => {
  const { open, server, state } = world();
  state.storeFails = true;
  const log = open();
  await log.log(touch);
  expect(log.state()).toMatchObject({ loose: 1, trouble: expect.stringMatching(/[Ll]eave this page open/) });
  await log.flush();
  expect(server.size).toBe(1);
  expect(log.state()).toMatchObject({ loose: 0, safe: 1 });
});

test('ids never run backwards: not with the clock set back, not behind another device', async () => {
  const { open, setClock } = world();
  const log = open();
  await log.log(touch);
  setClock(5);
  await log.log(touch);
  await log.log({ ...touch, kind: 'drop' });
  const ids = log.events('b', 'p').map((event) => event.id);
  expect(ids).toEqual([...ids].sort());
  await log.flush();
  const other = open('d2');
  const last = other.lastMark('b')!;
  expect(last.kind).toBe('drop');
  await other.log({ ...touch, kind: 'undo', ref: last.id });
  expect(tally(other.events('b', 'p'), 'row')).toMatchObject({ current: 2, drops: 0 });
});

test('a flush waits for touches that are still being kept', async () => {
  const { open, server } = world();
  const log = open();
  void log.log(touch);
  void log.log(touch);
  await log.flush();
  expect(server.size).toBe(2);
  expect(log.state()).toMatchObject({ waiting: 0, loose: 0 });
});

test('undo finds the newest mark that stands, whoever made it', async () => {
  const { open } = world();
  const log = open();
  await log.log(touch);
  await log.log({ ...touch, playerId: 'q' });
  await log.log({ blockId: 'b', playerId: null, kind: 'start' });
  const last = log.lastMark('b')!;
  expect(last.playerId).toBe('q');
  await log.log({ blockId: 'b', playerId: 'q', kind: 'undo', ref: last.id });
  expect(log.lastMark('b')!.playerId).toBe('p');
  expect(log.lastMark('other')).toBeNull();
});

test('whatever fails and whenever pages go, every touch arrives once', async () => {
  const step = fc.constantFrom('touch', 'drop', 'flush', 'reload', 'cut', 'mend', 'refuse-none');
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 40 }), async (steps) => {
      const { open, server, state } = world();
      let log = open();
      let made = 0;
      for (const one of steps) {
        if (one === 'touch' || one === 'drop') {
          await log.log({ ...touch, kind: one });
          made += 1;
        } else if (one === 'flush') await log.flush();
        else if (one === 'reload') log = open();
        else state.answer = () => (one === 'cut' ? 'unreachable' : 'stored');
      }
      state.answer = () => 'stored';
      await log.flush();
      expect(server.size).toBe(made);
      expect(log.state()).toMatchObject({ waiting: 0, loose: 0, safe: made });
    }),
    { numRuns: 150 },
  );
});

describe('with other devices and tabs', () => {
  const foreign = (n: number): TouchEvent => ({
    id: `01ARZ3NDEKTSV4RRFFQ69G5F${String(n).padStart(2, '0')}`,
    blockId: 'b',
    playerId: 'p',
    kind: 'touch',
    attempt: 1,
    value: null,
    ref: null,
    atMs: 1,
    monoMs: 1,
    device: 'd2',
  });

  test('what the server tells of is shown once, is safe, and rests here for a reload', async () => {
    const { open, kept } = world();
    const log = open();
    log.receive([foreign(1), foreign(2)], 'server');
    log.receive([foreign(2)], 'server');
    expect(log.events('b', 'p')).toHaveLength(2);
    expect(log.state()).toMatchObject({ safe: 2, waiting: 0 });
    expect(kept.size).toBe(0);
    // The server knows nothing of them in this test: they come from the device alone.
    const again = open();
    await again.opened;
    expect(again.events('b', 'p')).toHaveLength(2);
    expect(again.state()).toMatchObject({ safe: 2, waiting: 0 });
  });

  test('what another tab tells of is shown, and sent from here too', async () => {
    const { open, server } = world();
    const log = open();
    log.receive([foreign(1)], 'tab');
    expect(log.state()).toMatchObject({ safe: 0, waiting: 1 });
    await log.flush();
    expect([...server.keys()]).toEqual([foreign(1).id]);
  });

  test('what is not a helper’s to count is neither taken over from another tab nor sent from here', async () => {
    const { open, server, kept } = world();
    kept.set(foreign(9).id, { ...foreign(9), playerId: 'q' });
    const log = open('d1', (event) => event.playerId === 'p');
    log.receive([{ ...foreign(1), playerId: 'q' }, foreign(2)], 'tab');
    await log.flush();
    expect([...server.keys()]).toEqual([foreign(2).id]);
    expect(log.events('b', 'q')).toEqual([]);
    // It stays for the coach's own page to send.
    expect([...kept.keys()]).toEqual([foreign(9).id]);
  });

  test('a player’s list holds what was adjusted for everybody, and stays the same while nothing changes', async () => {
    const { open } = world();
    const log = open();
    await log.log({ blockId: 'b', playerId: null, kind: 'start' });
    await log.log(touch);
    const before = log.eventsOf('b', 'p');
    expect(before.map((event) => event.kind)).toEqual(['touch']);
    expect(log.eventsOf('b', 'p')).toBe(before);
    await log.log({ blockId: 'b', playerId: null, kind: 'breathless', value: 1 });
    expect(log.eventsOf('b', 'p').map((event) => event.kind)).toEqual(['breathless', 'touch']);
    // What was done for everybody is the newest thing to take back; the clock is not.
    expect(log.lastMark('b')?.kind).toBe('breathless');
  });

  test('when its link is closed nothing more is sent, counting goes on, and all of it stays here', async () => {
    const { open, kept, state } = world();
    state.answer = () => 'closed';
    const log = open();
    await log.log(touch);
    await log.flush();
    await log.log(touch);
    await log.flush();
    expect(state.sent).toBe(1);
    expect(log.state()).toMatchObject({ closed: 'This link was withdrawn.', waiting: 2 });
    expect(kept.size).toBe(2);
  });
});
