import { Line } from './line';

const signal = () => new AbortController();

test('one is served at a time, in the order they came', async () => {
  const line = new Line(4);
  let inside = 0;
  const order: number[] = [];
  await Promise.all(
    Array.from({ length: 5 }, async (_, n) => {
      const leave = await line.enter(signal().signal);
      expect(++inside).toBe(1);
      order.push(n);
      await new Promise((resolve) => setImmediate(resolve));
      inside -= 1;
      leave!();
      leave!();
    }),
  );
  expect(order).toEqual([0, 1, 2, 3, 4]);
});

test('who comes to a full line is sent away; who leaves makes room', async () => {
  const line = new Line(1);
  const leave = (await line.enter(signal().signal))!;
  const gone = signal();
  const waiting = line.enter(gone.signal);
  expect(await line.enter(signal().signal)).toBeNull();
  gone.abort();
  expect(await waiting).toBeNull();
  const next = line.enter(signal().signal);
  leave();
  expect(await next).not.toBeNull();
  expect(await line.enter(gone.signal)).toBeNull();
});
