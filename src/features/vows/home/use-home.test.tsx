/** @jest-environment ./testing/page-environment.mjs */
import { act, renderHook } from '@testing-library/react';
import type { TouchEvent } from '@/core/counting/event';
import type { HomeView } from '@/session/vows/home-view';
import { homeToday, localDay, saidOn, useHome, usePartTally } from './use-home';

const madeAtMs = new Date(2026, 11, 31, 22, 0).getTime();
const part = { part: 0, blockId: 'b', stepId: 's', dose: { kind: 'row', target: 10, capS: 100 }, words: '' };
const viewWith = (events: readonly TouchEvent[] = []): HomeView =>
  ({
    name: 'Ada',
    playerId: 'p',
    today: '2026-12-31',
    madeAtMs,
    events,
    by: 'home',
    sign: 'home-x-',
    vows: [{ key: 'k', days: [{ day: '2026-12-31', asked: true, parts: [part] }], rests: [] }],
  }) as unknown as HomeView;

/** A family's page as it is opened, counting one part of a day. */
const opened = (view: HomeView) =>
  renderHook(() => {
    const home = useHome(view, null);
    return { home, count: usePartTally(home, 'b', 'p', 'row') };
  });
type Opened = ReturnType<typeof opened>['result'];

const mark = (result: Opened, kind: 'touch' | 'drop' | 'result', attempt = 1, value: number | null = null) =>
  act(async () => {
    await result.current.home.log.log({ blockId: 'b', playerId: 'p', kind, attempt, value });
  });

test('each press is drawn at once: a drop begins a new row, a number typed is an attempt of its own', async () => {
  const { result } = opened(viewWith());
  expect(result.current.count).toMatchObject({ best: null, touches: 0 });
  for (const kind of ['touch', 'touch', 'drop', 'touch'] as const) await mark(result, kind);
  expect(result.current.count).toMatchObject({ best: 2, current: 1, touches: 3, drops: 1 });
  await mark(result, 'result', 3, 14);
  expect(result.current.count).toMatchObject({ best: 14 });
  const newest = result.current.home.log.events('b', 'p').at(-1)!;
  await act(async () => {
    await result.current.home.log.log({ blockId: 'b', playerId: 'p', kind: 'undo', ref: newest.id });
  });
  expect(result.current.count).toMatchObject({ best: 2 });
});

test('what the page was made with is counted on, and every mark is this page’s own', async () => {
  const first = opened(viewWith());
  await mark(first.result, 'touch');
  const before = first.result.current.home.log.events('b', 'p');
  const again = opened(viewWith(before));
  expect(again.result.current.count.touches).toBe(1);
  await mark(again.result, 'touch');
  const events = again.result.current.home.log.events('b', 'p');
  expect(new Set(events.map(({ id }) => id)).size).toBe(2);
  expect(events.every(({ device }) => device.startsWith('home-x-'))).toBe(true);
});

test('the last word on how it felt holds, and a line stays when only the face is changed', async () => {
  const { result } = opened(viewWith());
  const say = (value: number | null, text: string | null) =>
    act(async () => {
      const { log } = result.current.home;
      await log.log({ blockId: 'b', playerId: 'p', kind: 'note', attempt: 1, value, text });
    });
  await say(2, 'It rained.');
  await say(3, null);
  expect(saidOn(result.current.home.log, 'b', 'p')).toEqual({ felt: 3, text: 'It rained.' });
});

test('after midnight it is the next day, in a new year too; a clock that runs behind makes no yesterday', () => {
  const view = viewWith();
  expect(homeToday(view, madeAtMs)).toBe('2026-12-31');
  expect(homeToday(view, new Date(2027, 0, 1, 0, 0, 1).getTime())).toBe('2027-01-01');
  expect(homeToday(view, new Date(2026, 11, 30, 12).getTime())).toBe('2026-12-31');
  expect(localDay(new Date(2027, 2, 28, 3, 30).getTime())).toBe('2027-03-28');
});
