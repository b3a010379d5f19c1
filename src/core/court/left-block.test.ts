import type { EventKind, TouchEvent } from '../counting/event';
import { blockClock, elapsedS } from './block-clock';
import { asIfNotLeftMs, bringsBack, leftBlock } from './left-block';

let n = 0;
const event = (blockId: string, kind: EventKind, atS: number, ref: string | null = null): TouchEvent => ({
  id: String(n++).padStart(6, '0'),
  blockId,
  playerId: null,
  kind,
  attempt: 0,
  value: null,
  ref,
  atMs: 1000 * atS,
  monoMs: 1000 * atS,
  device: 'tablet',
});
const first = () => [event('a', 'start', 0), event('a', 'end', 90)];
const logOf = (events: TouchEvent[]) => [
  { id: 'a', events: events.filter(({ blockId }) => blockId === 'a') },
  { id: 'b', events: events.filter(({ blockId }) => blockId === 'b') },
];

test('the block that was left last is the one that comes back', () => {
  expect(leftBlock(logOf([]))).toBeNull();
  expect(leftBlock(logOf([event('a', 'start', 0)]))).toBeNull();
  const events = [...first(), event('b', 'start', 100), event('b', 'end', 200)];
  expect(leftBlock(logOf(events))).toMatchObject({ blockId: 'b', atMs: 200_000, ran: true });
  // Started again it is not left any more; nor is one whose end was taken back.
  expect(leftBlock(logOf([...events, event('b', 'start', 210)]))?.blockId).toBe('a');
  expect(leftBlock(logOf([...events, event('b', 'undo', 210, events.at(-1)!.id)]))?.blockId).toBe('a');
});

test('brought back soon, its clock ran on; later it goes on from where it stood', () => {
  const events = first();
  const left = leftBlock(logOf(events))!;
  const backAt = (nowS: number) => {
    const { kind, ref = null } = { ref: undefined, ...bringsBack(left, 1000 * nowS) };
    return blockClock([...events, event('a', kind, nowS, ref ?? null)]);
  };
  const soon = backAt(100);
  expect([soon.state, elapsedS(soon, 105_000)]).toEqual(['running', 105]);
  const lateS = 90 + asIfNotLeftMs / 1000 + 1;
  const late = backAt(lateS);
  expect([late.state, elapsedS(late, 1000 * (lateS + 5))]).toEqual(['running', 95]);
});

test('one that was paused, or never started, comes back so, however late', () => {
  for (const before of [[event('a', 'start', 0), event('a', 'pause', 30)], []]) {
    const events = [...before, event('a', 'end', 90)];
    const { kind, ref = null } = { ref: undefined, ...bringsBack(leftBlock(logOf(events))!, 900_000) };
    const clock = blockClock([...events, event('a', kind, 900, ref ?? null)]);
    expect(clock.state).toBe(before.length > 0 ? 'paused' : 'ready');
    expect(elapsedS(clock, 950_000)).toBe(before.length > 0 ? 30 : 0);
  }
});
