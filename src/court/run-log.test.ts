import fc from 'fast-check';
import type { TouchEvent } from '@/core/counting/event';
import { tally } from '@/core/counting/tally';
import { eventWith } from '@/core/counting/testing/event';
import { idTimeMs } from '@/core/counting/ulid-time';
import type { SendResult } from './outbox';
import { RunLog, type RunPorts } from './run-log';
import { memoryStore } from './testing/memory-store';

/** A device store and a server in memory; both can be told to fail. */
function world() {
  const device = memoryStore();
  const server = new Map<string, TouchEvent>();
  const jobs: (() => void)[] = [];
  let nowMs = 1_000_000;
  const state = {
    answer: (_events: readonly TouchEvent[]): SendResult | SendResult['kind'] => 'stored',
    sent: 0,
  };
  const open = (name = 'd1', more: Partial<RunPorts> = {}) =>
    new RunLog([...server.values()], {
      store: device.store,
      send: async (events) => {
        state.sent += 1;
        const answer = state.answer(events);
        const result = typeof answer === 'string' ? ({ kind: answer, message: 'No.' } as SendResult) : answer;
        // The worst kind of cut: stored, but the answer is lost.
        if (result.kind === 'stored' || result.kind === 'unreachable')
          for (const event of events) server.set(event.id, event);
        return result;
      },
      later: (job) => void jobs.push(job),
      clock: { now: () => (nowMs += 100), mono: () => nowMs },
      device: name,
      blockIds: ['b'],
      ...more,
    });
  const runJobs = () => jobs.splice(0).forEach((job) => job());
  return { ...device, server, answers: state, open, runJobs, setClock: (ms: number) => (nowMs = ms) };
}

const touch = { blockId: 'b', playerId: 'p', kind: 'touch' } as const;

test('a touch shows at once, is kept next, and is safe when the server has it', async () => {
  const { open, waiting: kept, server } = world();
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
  const { open, server, answers: state } = world();
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

test('a server that does not answer is said, with nothing waiting too; one that answers but takes nothing stays away', async () => {
  const { open, answers } = world();
  const log = open();
  const told: boolean[] = [];
  log.subscribe(() => told.push(log.state().reachable));
  await log.opened;
  told.length = 0;
  for (const answers of [true, false, false, true]) log.reached(answers);
  expect(told).toEqual([false, true]);
  answers.answer = () => 'unreachable';
  await log.log(touch);
  await log.flush();
  log.reached(true);
  expect(log.state().reachable).toBe(false);
});

test('what a device kept is added only when the screen stands as the server drew it', async () => {
  const { open } = world();
  await open().log(touch);
  let stand = () => {};
  const log = open('d1', { stands: new Promise<void>((resolve) => (stand = resolve)) });
  await new Promise((resolve) => setImmediate(resolve));
  expect(log.events('b', 'p')).toHaveLength(0);
  stand();
  await log.opened;
  expect(log.events('b', 'p')).toHaveLength(1);
});

test('a lost answer means sending again, and counting once', async () => {
  const { open, server, answers: state, runJobs } = world();
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

describe('what the server does not take', () => {
  const gone = (events: readonly TouchEvent[]) => events.some((event) => event.blockId === 'gone');
  const sevenTouches = async (log: RunLog) => {
    for (let i = 0; i < 7; i++) await log.log({ ...touch, blockId: i === 3 ? 'gone' : 'b' });
  };

  test('named by the server, it is set aside at once, kept, shown nowhere, and not sent again', async () => {
    const { open, server, waiting, heldBack, answers } = world();
    const log = open();
    await sevenTouches(log);
    answers.answer = (events) =>
      gone(events)
        ? {
            kind: 'refused',
            message: 'No.',
            refused: events.flatMap(({ blockId, id }, index) =>
              blockId === 'gone' ? [{ index, id, why: 'gone' as const, message: 'is not in the plan' }] : [],
            ),
          }
        : 'stored';
    await log.flush();
    expect(answers.sent).toBe(2);
    expect([server.size, waiting.size, heldBack.size]).toEqual([6, 0, 1]);
    expect(log.state()).toMatchObject({
      waiting: 0,
      safe: 6,
      heldBack: [{ why: 'gone', message: 'is not in the plan' }],
    });
    expect(log.events('gone', 'p')).toEqual([]);
    // The next page remembers it, and sends nothing.
    const again = open();
    await again.flush();
    expect(answers.sent).toBe(2);
    expect(again.state().heldBack).toHaveLength(1);
    await again.settleHeldBack(again.state().heldBack.map((one) => one.event.id));
    expect([again.state().heldBack.length, heldBack.size]).toEqual([0, 0]);
  });

  test.each(['refused', 'failed'] as const)('only "%s", it is found by halving', async (kind) => {
    const { open, server, heldBack, answers, runJobs } = world();
    const log = open();
    await sevenTouches(log);
    answers.answer = (events) => (gone(events) ? kind : 'stored');
    for (let round = 0; round < 4; round++) {
      runJobs();
      await log.flush();
    }
    expect(server.size).toBe(6);
    expect(log.state()).toMatchObject({ waiting: 0, safe: 6 });
    expect([...heldBack.values()].map((one) => one.event.blockId)).toEqual(['gone']);
  });

  test('a server that fails over everything is waited for, and nothing is held back', async () => {
    const { open, server, heldBack, answers, runJobs } = world();
    const log = open();
    for (let i = 0; i < 40; i++) await log.log(touch);
    answers.answer = () => 'failed';
    for (let round = 0; round < 3; round++) {
      runJobs();
      await log.flush();
    }
    expect(answers.sent).toBeLessThan(80);
    answers.answer = () => 'stored';
    await log.flush();
    expect([server.size + heldBack.size, log.state().waiting]).toEqual([40, 0]);
    expect(server.size).toBeGreaterThanOrEqual(34);
  });
});

test('a store that is full or closed is said, and touches still reach the server', async () => {
  const { open, server, state: device } = world();
  device.fails = true;
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
      const { open, server, answers: state } = world();
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
    const { open, waiting, server } = world();
    const log = open();
    log.receive([foreign(1), foreign(2)], 'server');
    log.receive([foreign(2)], 'server');
    expect(log.events('b', 'p')).toHaveLength(2);
    expect(log.state()).toMatchObject({ safe: 2, waiting: 0 });
    expect(waiting.size).toBe(0);
    // A page that was not told of them, as one without the server is, shows them all the same and asks once more.
    const again = open();
    await again.opened;
    expect(again.events('b', 'p')).toHaveLength(2);
    expect(again.state()).toMatchObject({ safe: 0, waiting: 2 });
    await again.flush();
    expect(again.state()).toMatchObject({ safe: 2, waiting: 0 });
    expect(server.size).toBe(2);
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
    const { open, server, waiting: kept } = world();
    kept.set(foreign(9).id, { event: { ...foreign(9), playerId: 'q' }, where: null });
    const log = open('d1', { mine: (event) => event.playerId === 'p' });
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
    const { open, waiting: kept, answers: state } = world();
    state.answer = () => 'closed';
    const log = open();
    await log.log(touch);
    await log.flush();
    await log.log(touch);
    await log.flush();
    expect(state.sent).toBe(1);
    expect(log.state()).toMatchObject({ closed: 'No.', waiting: 2 });
    expect(kept.size).toBe(2);
  });
});

describe('another history on the server', () => {
  test('what it has is safe, and what it lacks is offered again, once', async () => {
    const { open, server, settled } = world();
    const log = open();
    for (let i = 0; i < 5; i++) await log.log(touch);
    await log.flush();
    expect(log.state()).toMatchObject({ safe: 5, waiting: 0 });
    // A backup from before the last two was put back.
    const all = [...server.values()];
    for (const event of all.slice(3)) server.delete(event.id);
    expect(log.reconcile(all.slice(0, 3))).toBe(2);
    expect(log.state()).toMatchObject({ safe: 3, waiting: 2 });
    expect(log.events('b', 'p')).toHaveLength(5);
    await log.flush();
    expect(log.state()).toMatchObject({ safe: 5, waiting: 0 });
    expect(server.size).toBe(5);
    expect(log.reconcile([...server.values()])).toBe(0);
    // A page that opens after the restore finds them on the device, and offers them as well.
    for (const event of all.slice(1)) server.delete(event.id);
    expect(settled.size).toBe(5);
    const again = open();
    await again.flush();
    expect(server.size).toBe(5);
  });

  test('a block the restored book does not know: its counts are held back, not forgotten', async () => {
    const { open, server, answers: state, heldBack } = world();
    const at = { sessionId: 's', session: 'Thursday', block: 'Palm-up bounce', player: 'Mika' };
    const log = open('d1', { where: () => at });
    await log.log(touch);
    await log.flush();
    server.clear();
    state.answer = (events) => ({
      kind: 'refused',
      message: 'No.',
      refused: events.map(({ id }, index) => ({ id, index, why: 'gone', message: 'is gone' })),
    });
    const again = open('d1', { blockIds: ['another'], sessionId: 's' });
    await again.flush();
    expect(again.state().heldBack).toMatchObject([{ why: 'gone', where: at }]);
    expect(heldBack.size).toBe(1);
  });

  test('marks of a child who was removed for good are let go of, and the others go on', async () => {
    const { open, server, answers: state, heldBack, waiting: kept, settled } = world();
    const log = open();
    const answer = state.answer;
    state.answer = (events) => {
      const theirs = events.flatMap(({ id, playerId }, index) =>
        playerId === 'p'
          ? [{ id, index, why: 'removed' as const, message: 'is about a child who left' }]
          : [],
      );
      return theirs.length > 0 ? { kind: 'refused', message: 'No.', refused: theirs } : answer(events);
    };
    await Promise.all([log.log(touch), log.log({ ...touch, playerId: 'q' })]);
    await log.flush();
    expect([heldBack.size, kept.size, log.state().heldBack]).toEqual([0, 0, []]);
    expect([...settled.values()].map(({ event }) => event.playerId)).toEqual(['q']);
    expect([...server.values()].map((event) => event.playerId)).toEqual(['q']);
    expect(log.events('b', 'p')).toEqual([]);
  });
});

describe('a bad event', () => {
  const bad = (id: string): TouchEvent => ({
    ...eventWith({ id, blockId: 'b', playerId: 'p', device: 'd2' }),
  });

  test.each([
    ['beyond what a ULID can be', 'ZZZZZZZZZZZZZZZZZZZZZZZZZZ'],
    ['from the year 10889', '7ZZZZZZZZZZZZZZZZZZZZZZZZZ'],
    ['that is none', 'x'],
  ])('with an id %s stops neither following nor counting', async (_what, id) => {
    const { open } = world();
    const log = open();
    log.receive([bad(id), bad('01ARZ3NDEKTSV4RRFFQ69G5FB7')], 'server');
    await log.log(touch);
    expect(log.events('b', 'p')).toHaveLength(3);
    // What is made here keeps to the time it is made at.
    expect(idTimeMs(log.events('b', 'p')[2]!.id)).toBeLessThan(2_000_000);
  });

  test('ids come back to the time when a clock that was far ahead is put right', async () => {
    const { open, setClock } = world();
    const log = open();
    setClock(Date.UTC(2099, 0));
    await log.log(touch);
    setClock(2_000_000);
    await log.log(touch);
    const [ahead, right] = log.events('b', 'p').map((event) => idTimeMs(event.id)!);
    expect(ahead).toBeGreaterThan(Date.UTC(2098, 0));
    expect(right).toBeLessThan(3_000_000);
  });

  test('half an emoji is put right before it leaves the device', async () => {
    const { open, server } = world();
    const log = open('d1', { by: () => 'Jo \ud83c' });
    await log.log({ ...touch, kind: 'note', text: `${'x'.repeat(199)}🎾` });
    await log.log({ ...touch, kind: 'note', text: 'Soft \ud83c' });
    await log.flush();
    expect([...server.values()].map((event) => [event.text, event.by])).toEqual([
      ['x'.repeat(199), 'Jo \ufffd'],
      ['Soft \ufffd', 'Jo \ufffd'],
    ]);
  });
});

test('a block is begun with the first thing done in it, and its events say under what they were made', async () => {
  const { open, server } = world();
  const log = open('d1', {
    begin: (blockId) => `{"is":"${blockId}"}`,
    under: (_block, playerId) => `u-${playerId}`,
  });
  await log.log({ blockId: 'b', playerId: null, kind: 'out', value: 1 });
  await log.log({ blockId: 'b', playerId: null, kind: 'start' });
  await log.log(touch);
  await log.log({ ...touch, kind: 'note', text: 'Good' });
  await log.flush();
  expect([...server.values()].map(({ kind, text, under }) => [kind, text, under])).toEqual([
    ['out', null, null],
    ['begun', '{"is":"b"}', null],
    ['start', null, null],
    ['touch', null, 'u-p'],
    ['note', 'Good', null],
  ]);
  // It is no mark: undo leaves it alone.
  const note = log.lastMark('b')!;
  expect(note.kind).toBe('note');
});

test('what takes back a count is bound to what was done as the count is, and an undone note is not', async () => {
  const { open, server } = world();
  const log = open('d1', { under: (_block, playerId) => `u-${playerId}` });
  for (const fresh of [touch, { ...touch, kind: 'note', text: 'Good' } as const]) {
    await log.log(fresh);
    await log.log({ ...touch, kind: 'undo', ref: log.lastMark('b')!.id });
  }
  await log.flush();
  expect([...server.values()].map(({ kind, under }) => [kind, under])).toEqual([
    ['touch', 'u-p'],
    ['undo', 'u-p'],
    ['note', null],
    ['undo', null],
  ]);
});

test('a record the server does not take is forgotten: another one holds', async () => {
  const { open, answers, heldBack } = world();
  const log = open('d1', { begin: () => '{"mine":true}' });
  answers.answer = (events) =>
    events.some((event) => event.kind === 'begun')
      ? {
          kind: 'refused',
          message: 'No.',
          refused: events.flatMap(({ kind, id }, index) =>
            kind === 'begun' ? [{ index, id, why: 'plan' as const, message: 'another plan' }] : [],
          ),
        }
      : 'stored';
  await log.log({ blockId: 'b', playerId: null, kind: 'start' });
  await log.flush();
  expect(log.events('b', null).map((event) => event.kind)).toEqual(['start']);
  expect([log.state().heldBack.length, heldBack.size]).toEqual([0, 0]);
});
