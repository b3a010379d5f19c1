import { frameAfter, frameBefore, type FramePort } from './step';

/** A clip whose frames begin at these times. */
const clip = (times: readonly number[], durationS = times.at(-1)! + 0.05): FramePort => ({
  durationS,
  seek: (toS) => Promise.resolve(times.findLast((one) => one <= toS + 1e-9) ?? times[0]!),
});

test.each([
  ['30 a second', Array.from({ length: 20 }, (_, n) => n / 30)],
  ['240 a second', Array.from({ length: 20 }, (_, n) => n / 240)],
  ['any rate', [0, 0.033, 0.041, 0.1, 0.104, 0.3, 1.2, 1.21]],
])('every frame once, there and back: %s', async (_, times) => {
  const port = clip(times);
  const there = [times[0]!];
  while (there.length < times.length) there.push(await frameAfter(port, there.at(-1)!));
  expect(there).toEqual(times);
  const back = [times.at(-1)!];
  while (back.length < times.length) back.push(await frameBefore(port, back.at(-1)!));
  expect(back.reverse()).toEqual(times);
});

test('where a browser shows a frame for as long as it thinks that it lasts, every frame is found all the same', async () => {
  const times = [0, 0.02, 0.031, 0.064, 0.097, 0.104, 0.2];
  const lastsS = 0.033;
  const port: FramePort = {
    durationS: 0.3,
    seek: (toS) =>
      Promise.resolve(
        times.find((one) => one <= toS && one + lastsS > toS) ?? times.findLast((one) => one <= toS) ?? 0,
      ),
  };
  const there = [0];
  while (there.length < times.length) there.push(await frameAfter(port, there.at(-1)!));
  expect(there).toEqual(times);
  const back = [times.at(-1)!];
  while (back.length < times.length) back.push(await frameBefore(port, back.at(-1)!));
  expect(back.reverse()).toEqual(times);
});

test.each([-0.0005, 0.0005])('times that are told %s s off lose no frame', async (off) => {
  const times = Array.from({ length: 12 }, (_, n) => n / 30);
  // What a frame is said to begin at is not quite where it does.
  const told = (one: number) => (one === 0 ? 0 : one + off);
  const port: FramePort = {
    durationS: 0.45,
    seek: (toS) => Promise.resolve(told(times.findLast((one) => one <= toS + 1e-9) ?? 0)),
  };
  const there = [0];
  while (there.length < times.length) there.push(await frameAfter(port, there.at(-1)!));
  expect(there).toEqual(times.map(told));
  expect(await frameBefore(port, there[5]!)).toBe(there[4]);
});

test('before the first and after the last there is nothing: it stays', async () => {
  const port = clip([0, 0.04]);
  expect(await frameBefore(port, 0)).toBe(0);
  expect(await frameAfter(port, 0.04)).toBe(0.04);
});
