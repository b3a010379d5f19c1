import type { ClockKind, TouchEvent } from '@/core/counting/event';
import { firstBlock } from './first-block';

const mark = (kind: ClockKind, n: number): TouchEvent => ({
  id: String(n),
  blockId: '',
  playerId: null,
  kind,
  attempt: 1,
  value: null,
  ref: null,
  atMs: n,
  monoMs: n,
  device: 'd',
});
const logOf = (marks: Record<string, ClockKind[]>) => ({
  events: (id: string) => (marks[id] ?? []).map(mark),
});

test.each<[string, Record<string, ClockKind[]>, number]>([
  ['a fresh session opens at its first block', {}, 0],
  ['a running block is where it goes on', { a: ['start', 'end'], b: ['start'] }, 1],
  ['a paused block too, even before later ones', { a: ['start', 'pause'], b: ['start', 'end'] }, 0],
  ['after ended ones comes the next', { a: ['start', 'end'], b: ['end'] }, 2],
  ['when all have ended, the last stays open', { a: ['end'], b: ['end'], c: ['end'] }, 2],
])('%s', (_name, marks, index) => {
  expect(firstBlock(['a', 'b', 'c'], logOf(marks))).toBe(index);
});

test('an empty plan has nowhere to go', () => {
  expect(firstBlock([], logOf({}))).toBe(0);
});
