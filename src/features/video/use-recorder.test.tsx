/** @jest-environment ./testing/page-environment.mjs */
import { act, renderHook } from '@testing-library/react';
import { useRecorder } from './use-recorder';

/** A camera that is allowed when a test says so, and a recorder that has one piece. */
function camera() {
  const streams: { stopped: boolean }[] = [];
  const allow: (() => void)[] = [];
  const mediaDevices = {
    getUserMedia: () =>
      new Promise((resolve) => {
        allow.push(() => {
          const stream = { stopped: false };
          streams.push(stream);
          resolve({ getTracks: () => [{ stop: () => (stream.stopped = true) }] });
        });
      }),
  };
  Object.defineProperty(navigator, 'mediaDevices', { value: mediaDevices, configurable: true });
  Object.defineProperty(window, 'isSecureContext', { value: true, configurable: true });
  class Recorder {
    state = 'inactive';
    mimeType = 'video/webm;codecs=vp9';
    ondataavailable: (event: { data: Blob }) => void = () => undefined;
    onstop: () => void = () => undefined;
    start() {
      this.state = 'recording';
    }
    stop() {
      this.state = 'inactive';
      this.ondataavailable({ data: new Blob(['x']) });
      this.onstop();
    }
  }
  Object.assign(globalThis, { MediaRecorder: Recorder });
  return { streams, allow };
}

const opened = () => {
  const files: string[] = [];
  const hook = renderHook(() => useRecorder((file) => files.push(`${file.name} ${file.type}`)));
  return { files, ...hook };
};

test('recorded from start to stop: one file, and the camera is let go', async () => {
  const { streams, allow } = camera();
  const { result, files } = opened();
  await act(async () => {
    const started = result.current.start();
    allow[0]!();
    await started;
  });
  expect(result.current.recording).toBe(true);
  act(() => result.current.stop());
  expect([result.current.recording, files, streams]).toEqual([
    false,
    ['From the camera video/webm'],
    [{ stopped: true }],
  ]);
});

test('allowed after the page is gone, the camera is let go at once and nothing is recorded', async () => {
  const { streams, allow } = camera();
  const { result, files, unmount } = opened();
  const started = result.current.start();
  unmount();
  allow[0]!();
  await started;
  expect([streams, files]).toEqual([[{ stopped: true }], []]);
});

test('asked for twice, only the last camera stays on; left while it records, its file is nobody’s', async () => {
  const { streams, allow } = camera();
  const { result, files, unmount } = opened();
  await act(async () => {
    const both = [result.current.start(), result.current.start()];
    for (const one of allow) one();
    await Promise.all(both);
  });
  expect(streams).toEqual([{ stopped: true }, { stopped: false }]);
  // A press while it records starts no other.
  await act(() => result.current.start());
  expect(allow).toHaveLength(2);
  unmount();
  expect([streams.every(({ stopped }) => stopped), files]).toEqual([true, []]);
});
