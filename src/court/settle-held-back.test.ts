import { eventWith } from '@/core/counting/testing/event';
import type { TouchEvent } from '@/core/counting/event';
import { tally } from '@/core/counting/tally';
import type { HeldBack } from './held-back';
import { RunLog } from './run-log';
import {
  attach,
  discard,
  fitsMeasure,
  groupInWords,
  groupsOf,
  heldBackFile,
  keepAsNote,
} from './settle-held-back';
import { memoryStore } from './testing/memory-store';

const where = { sessionId: 's', session: 'Thursday', block: 'Palm-up bounce: Row of 20', player: 'Mika' };
let next = 0;
const held = (more: Partial<TouchEvent>, why: HeldBack['why'] = 'gone'): HeldBack => {
  const id = `01ARZ3NDEKTSV4RRFFQ69G5${String(++next).padStart(3, '0')}`;
  return {
    event: eventWith({ id, blockId: 'gone', playerId: 'p', ...more }),
    why,
    message: 'No.',
    where,
    atMs: 0,
  };
};
const touches = (n: number, more: Partial<TouchEvent> = {}) =>
  Array.from({ length: n }, (_, i) => held({ atMs: 1000 + 600 * i, ...more }));

function world(heldBack: readonly HeldBack[]) {
  const device = memoryStore();
  for (const one of heldBack) device.heldBack.set(one.event.id, one);
  let nowMs = 100_000;
  const log = new RunLog([], {
    store: device.store,
    send: async () => ({ kind: 'unreachable' }),
    later: () => undefined,
    clock: { now: () => (nowMs += 10), mono: () => nowMs },
    device: 'd1',
    blockIds: ['b'],
    under: () => 'new',
  });
  return { ...device, log };
}

test('marks are grouped by block, player and reason, and said in words', () => {
  const undone = held({});
  const groups = groupsOf([
    ...touches(3),
    held({ kind: 'drop' }),
    undone,
    held({ kind: 'undo', ref: undone.event.id }),
    held({ playerId: 'q', kind: 'zone', value: 5 }),
    held({}, 'plan'),
    held({ playerId: null, kind: 'start' }),
  ]);
  expect(groups.map(groupInWords)).toEqual(['3 touches, 1 miss', '1 shot', '1 touch', '1 mark']);
  expect(groups[0]!.where).toEqual(where);
});

test('whole passes of a sequence are their strokes, and go only where strokes are counted in a time', () => {
  const [group] = groupsOf([...touches(1), held({ value: 4 }), held({ value: 4 })]);
  expect(groupInWords(group!)).toBe('9 touches');
  expect(['count', 'row', 'reps'].map((measure) => fitsMeasure(group!, measure as 'count'))).toEqual([
    true,
    false,
    false,
  ]);
});

test('a group is counted in another block as attempts of its own, at the times it was made', async () => {
  const row = [...touches(3), held({ kind: 'drop', atMs: 2800 })];
  const { log, heldBack } = world(row);
  await log.opened;
  await log.log({ blockId: 'b', playerId: 'p', kind: 'touch' });
  const [group] = groupsOf(log.state().heldBack);
  await attach(log, group!, 'b', 90_000);
  await log.log({ blockId: 'b', playerId: 'p', kind: 'touch' });
  const { attempts } = tally(log.events('b', 'p'), 'row');
  expect(attempts.map((one) => [one.result, one.drops, one.startedMs < 5000])).toEqual([
    [1, 0, false],
    [3, 1, true],
    [1, 0, false],
  ]);
  expect(log.events('b', 'p').every((event) => event.under === 'new')).toBe(true);
  expect([heldBack.size, log.state().heldBack.length]).toEqual([0, 0]);
});

test('times that are still to come are taken as now', async () => {
  const { log } = world(touches(1, { atMs: 9_999_999_999_999 }));
  await log.opened;
  await attach(log, groupsOf(log.state().heldBack)[0]!, 'b', 90_000);
  expect(log.events('b', 'p')[0]!.atMs).toBe(90_000);
});

test('a group is kept as a note, or discarded, and gone from the device either way', async () => {
  const { log, heldBack, waiting } = world([...touches(2), held({ playerId: 'q' })]);
  await log.opened;
  const [first, second] = groupsOf(log.state().heldBack);
  await keepAsNote(log, first!, 'b');
  expect(log.events('b', 'p').map((event) => [event.kind, event.text])).toEqual([
    ['note', 'Counted elsewhere: 2 touches (Palm-up bounce: Row of 20)'],
  ]);
  await discard(log, second!);
  expect([heldBack.size, waiting.size]).toEqual([0, 1]);
});

test.each([
  [touches(2), 'row', true],
  [touches(2), 'points', false],
  [[held({ kind: 'zone', value: 5 })], 'points', true],
  [[held({ kind: 'zone', value: 5 })], 'row', false],
  [[held({ kind: 'hold', value: 5 }), held({ kind: 'drop' })], 'hold', true],
  [[held({ kind: 'result', value: 14 })], 'lap', true],
] as const)('%# fits where it is counted the same way', (events, measure, fits) => {
  expect(fitsMeasure(groupsOf(events)[0]!, measure)).toBe(fits);
});

test('taken away as a file it is all there, in an open form', () => {
  const events = touches(2);
  const file = JSON.parse(heldBackFile(groupsOf(events))) as {
    format: string;
    groups: { events: unknown[] }[];
  };
  expect(file.format).toBe('vowstep-held-back');
  expect(file.groups[0]!.events).toEqual(events.map((one) => one.event));
});
