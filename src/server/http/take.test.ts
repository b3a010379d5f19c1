import { fileResponse } from './take';

const file = (made: number[]) => ({
  name: 'track.wav',
  type: 'audio/wav',
  bytes: 40,
  pieces: function* () {
    for (let n = 0; n < 40; n++) {
      made.push(n);
      yield Uint8Array.of(n);
    }
  },
});

test('a file is made as it is taken, and whole', async () => {
  const made: number[] = [];
  let ends = 0;
  const response = fileResponse(file(made), () => (ends += 1));
  expect(response.headers.get('content-disposition')).toBe('attachment; filename="track.wav"');
  await new Promise((resolve) => setImmediate(resolve));
  expect(made.length).toBeLessThan(5);
  expect([...new Uint8Array(await response.arrayBuffer())]).toEqual(Array.from({ length: 40 }, (_, n) => n));
  expect(ends).toBe(1);
});

test('nothing more is made for who has gone', async () => {
  const made: number[] = [];
  let ends = 0;
  const reader = fileResponse(file(made), () => (ends += 1)).body!.getReader();
  await reader.read();
  await reader.cancel();
  expect(ends).toBe(1);
  expect(made.length).toBeLessThan(6);
});

test('who stands still is sent away after a while', async () => {
  jest.useFakeTimers();
  try {
    let ends = 0;
    const response = fileResponse(file([]), () => (ends += 1));
    await jest.advanceTimersByTimeAsync(21_000);
    expect(ends).toBe(1);
    const reader = response.body!.getReader();
    await expect(
      (async () => {
        while (!(await reader.read()).done);
      })(),
    ).rejects.toThrow('Nobody takes');
  } finally {
    jest.useRealTimers();
  }
});
