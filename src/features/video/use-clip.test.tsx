/** @jest-environment ./testing/page-environment.mjs */
import { act, renderHook } from '@testing-library/react';
import type { ClipSound } from './open-clip';
import { useClip } from './use-clip';

const reading: ((sound: ClipSound | null) => void)[] = [];
jest.mock('./open-clip', () => ({
  ...jest.requireActual<object>('./open-clip'),
  soundOf: () => new Promise((resolve) => reading.push(resolve)),
}));

const soundOfClip = (length: number): ClipSound => ({ samples: new Float32Array(length), rate: 48_000 });
const file = (name: string) => new File(['x'], name, { type: 'video/webm' });

/** A film element that answers a seek when a test lets it, and tells frames where the browser can. */
function film({ answers, tells }: { readonly answers: boolean; readonly tells: boolean }) {
  const element = document.createElement('video');
  let [at, callbacks] = [0, [] as ((now: number, told: { mediaTime: number }) => void)[]];
  Object.defineProperties(element, {
    duration: { value: 10 },
    paused: { value: true },
    pause: { value: () => undefined },
    currentTime: {
      get: () => at,
      set: (next: number) => {
        at = next;
        if (!answers) return;
        queueMicrotask(() => {
          for (const told of callbacks.splice(0)) told(0, { mediaTime: Math.floor(at * 25) / 25 });
          element.dispatchEvent(new Event('seeked'));
        });
      },
    },
    ...(tells && {
      requestVideoFrameCallback: { value: (call: (typeof callbacks)[number]) => callbacks.push(call) },
      cancelVideoFrameCallback: { value: () => (callbacks = []) },
    }),
  });
  return element;
}

beforeEach(() => {
  reading.length = 0;
  Object.assign(URL, { createObjectURL: () => `blob:${Math.random()}`, revokeObjectURL: () => undefined });
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick', 'performance'] });
});
afterEach(() => jest.useRealTimers());

const withFilm = (how: Parameters<typeof film>[0]) => {
  const hook = renderHook(() => useClip());
  hook.result.current.video.current = film(how);
  act(() => hook.result.current.open(file('a.webm')));
  return hook;
};

test('a clip is never counted with the sound of another: what was read too late is left out', async () => {
  const { result } = renderHook(() => useClip());
  act(() => result.current.open(file('long.webm')));
  act(() => result.current.open(file('short.webm')));
  expect(result.current.sound).toBe('reading');
  const short = soundOfClip(2);
  await act(async () => reading[1]!(short));
  expect(result.current.sound).toBe(short);
  await act(async () => reading[0]!(soundOfClip(9)));
  expect([result.current.name, result.current.sound]).toEqual(['short.webm', short]);
  // Nor is one that was closed.
  act(() => result.current.open(file('third.webm')));
  act(() => result.current.close());
  await act(async () => reading[2]!(soundOfClip(9)));
  expect(result.current.sound).toBeNull();
});

test.each([
  ['a seek that never answers', { answers: false, tells: true }],
  ['a browser that tells no frames', { answers: true, tells: false }],
  ['a browser that tells frames', { answers: true, tells: true }],
])('%s does not lock the steps', async (_, how) => {
  const { result } = withFilm(how);
  for (let n = 0; n < 2; n++)
    await act(async () => {
      const stepped = result.current.step(1);
      await jest.advanceTimersByTimeAsync(60_000);
      await stepped;
    });
  // The second step was not passed over because the first one still went on.
  let marked = false;
  await act(async () => {
    const done = result.current.mark('contact').then(() => (marked = true));
    await jest.advanceTimersByTimeAsync(60_000);
    await done;
  });
  expect([marked, result.current.marks.length]).toEqual([true, 1]);
  if (how.answers) expect(result.current.atS).toBeGreaterThan(0);
});
