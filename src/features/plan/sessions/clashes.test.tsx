/** @jest-environment ./testing/page-environment.mjs */
import { act, render, renderHook, screen } from '@testing-library/react';
import type { Clashes } from '@/server/views/clashes';
import { askedOf, bookingLabel, ClashNote, useClashes, type Asked } from './clashes';

const waiting: { readonly asked: Asked; readonly answer: (found: Clashes) => void }[] = [];
jest.mock('@/server/actions', () => ({
  clashesAction: (asked: Asked) => new Promise((answer) => waiting.push({ asked, answer })),
}));

const clash = { day: '2026-12-03', title: 'Thursday group', startTime: '16:30', endTime: '17:30' };
const taken: Clashes = {
  clashes: [{ ...clash, names: ['Ada'], coach: false, place: false }],
  freeDay: '2026-12-10',
  freeLater: '17:30',
};
const free: Clashes = { clashes: [], freeDay: null, freeLater: null };
const on = (day: string): Asked => ({ days: [day], fromId: 'x' });

beforeEach(() => {
  waiting.length = 0;
  jest.useFakeTimers();
});
afterEach(() => jest.useRealTimers());
const answer = (at: number, found: Clashes) => act(async () => waiting[at]!.answer(found));
const pause = () => act(() => jest.advanceTimersByTimeAsync(300));

test('it is asked once somebody stops typing, and an answer to an earlier question is not shown', async () => {
  const { result, rerender } = renderHook(({ day }) => useClashes(on(day)), {
    initialProps: { day: '2026-12-03' },
  });
  expect(waiting).toHaveLength(0);
  await pause();
  rerender({ day: '2026-12-10' });
  await pause();
  expect(waiting.map(({ asked }) => asked.days[0])).toEqual(['2026-12-03', '2026-12-10']);
  await answer(0, taken);
  expect(result.current.found).toBeNull();
  await answer(1, free);
  expect(result.current.found).toEqual(free);
});

test('a press before the answer shows the collision first, and books with the next one', async () => {
  const { result } = renderHook(() => useClashes(on('2026-12-03')));
  let seen: boolean | undefined;
  const first = result.current.seen().then((said) => (seen = said));
  await answer(0, taken);
  await act(() => first);
  expect([seen, bookingLabel('Open the plan', result.current)]).toEqual([false, 'Open the plan anyway']);
  expect(await result.current.seen()).toBe(true);
});

test('a server that cannot be asked keeps nobody from booking', async () => {
  const { result } = renderHook(() => useClashes(null));
  await pause();
  expect([waiting.length, await result.current.seen()]).toEqual([0, true]);
});

test('the note says what is taken, and moves the booking to what is free', () => {
  const moved: string[] = [];
  render(<ClashNote found={taken} onDay={(day) => moved.push(day)} onStart={(start) => moved.push(start)} />);
  expect(screen.getByRole('status').textContent).toContain('Thursday group already has Ada.');
  screen.getByText('Start at 17:30').click();
  screen.getByText('Move to Thu 10 Dec').click();
  expect(moved).toEqual(['17:30', '2026-12-10']);
});

test('what is no booking yet asks nothing', () => {
  expect(askedOf({ day: '2026-12-03', playerIds: [] })).toBeNull();
  expect(askedOf({ playerIds: ['a'] })).toBeNull();
  expect(askedOf({ day: '2026-12-03', playerIds: ['a'], bookedMin: 45 })).toMatchObject({
    days: ['2026-12-03'],
    booking: { playerIds: ['a'], bookedMin: 45, placeId: null },
  });
});
