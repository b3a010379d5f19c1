import { monotonicFactory } from 'ulid';
import type { EventKind, TouchEvent } from '@/core/counting/event';
import { tally } from '@/core/counting/tally';
import { keptTogether } from './kept-together';

const newId = monotonicFactory();
const made = (kind: EventKind, atMs: number, more: Partial<TouchEvent> = {}): TouchEvent => ({
  id: newId(atMs),
  blockId: 'b',
  playerId: 'p',
  kind,
  attempt: 1,
  value: null,
  ref: null,
  atMs,
  monoMs: atMs,
  device: 'd',
  ...more,
});
const undone = (of: readonly TouchEvent[], atMs: number) =>
  of.map(({ id }) => made('undo', atMs, { ref: id }));

test('what was heard is taken back as it was kept: at once, and the taps it replaced stand again', () => {
  const taps = [1000, 1500].map((atMs) => made('touch', atMs));
  const earlier = (['touch', 'touch', 'drop'] as const).map((kind, n) =>
    made(kind, 3000 + 10 * n, { origin: 'ear 1' }),
  );
  const kept = [
    ...taps.map(({ id }) => made('undo', 9000, { ref: id, origin: 'ear 1' })),
    ...[9010, 9020, 9030].map((atMs) => made('touch', atMs, { origin: 'ear 1' })),
    made('drop', 9040, { origin: 'ear 1' }),
  ];
  const events = [...taps, ...earlier, ...kept];
  expect(tally(events, 'row').best).toBe(3);
  const together = keptTogether(events, kept.at(-1)!);
  expect(together.map(({ id }) => id).sort()).toEqual(kept.map(({ id }) => id).sort());
  const after = tally([...events, ...undone(together, 12_000)], 'row');
  expect(after.attempts.map(({ result, origin }) => [result, origin])).toEqual([
    [2, null],
    [2, 'ear 1'],
  ]);
});

test('two laps from a clip are two presses', () => {
  const laps = [1000, 1100].map((atMs) => made('lap', atMs, { origin: 'clip 1', value: 9 }));
  expect(keptTogether(laps, laps[1]!)).toEqual([laps[1]]);
});

test('a mark of a finger stands by itself', () => {
  const taps = [1000, 1100].map((atMs) => made('touch', atMs));
  expect(keptTogether(taps, taps[1]!)).toEqual([taps[1]]);
});
