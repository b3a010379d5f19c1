import type { EventKind, TouchEvent } from '@/core/counting/event';
import { blocksInOrder, blockToOpen } from './first-block';

const mark = (blockId: string, kind: EventKind, n: number): TouchEvent => ({
  id: `${n}${blockId}`,
  blockId,
  playerId: null,
  kind,
  attempt: 1,
  value: kind === 'out' ? 1 : null,
  ref: null,
  text: kind === 'swap' ? 'c' : null,
  atMs: n,
  monoMs: n,
  device: 'd',
});
const logOf = (marks: Record<string, EventKind[]>) => ({
  events: (id: string) => (marks[id] ?? []).map((kind, n) => mark(id, kind, n)),
});
const blocks = ['a', 'b', 'c'].map((id) => ({ id }));

test.each<[string, Record<string, EventKind[]>, string]>([
  ['a fresh session opens at its first block', {}, 'a'],
  ['a running block is where it goes on', { a: ['start', 'end'], b: ['start'] }, 'b'],
  ['a paused block too, even before later ones', { a: ['start', 'pause'], b: ['start', 'end'] }, 'a'],
  ['after ended ones comes the next', { a: ['start', 'end'], b: ['end'] }, 'c'],
  ['when all have ended, the last stays open', { a: ['end'], b: ['end'], c: ['end'] }, 'c'],
  ['what was left out is passed over', { a: ['start', 'end'], b: ['out'] }, 'c'],
  ['what changed places comes at its new place', { a: ['swap'] }, 'c'],
  ['and a block that waits paused is gone on with all the same', { a: ['start', 'swap', 'pause'] }, 'a'],
])('%s', (_name, marks, id) => {
  expect(blockToOpen(blocks, logOf(marks))).toBe(id);
});

test('an empty plan has nowhere to go', () => {
  expect(blockToOpen([], logOf({}))).toBeUndefined();
});

test('the order is the plan’s with what changed places, and no block is lost', () => {
  expect(blocksInOrder(blocks, logOf({ a: ['swap'] })).map((block) => block.id)).toEqual(['c', 'b', 'a']);
});
