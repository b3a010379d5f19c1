import { performance } from 'node:perf_hooks';

/** How busy it is is looked at over so long, milliseconds. Ours. */
const overMs = 1000;
let before = performance.eventLoopUtilization();
let [atMs, busy] = [performance.now(), 0];

/** The share of time this process's event loop works, over the last second or two, 0 to 1. */
export function loopBusy(): number {
  const now = performance.now();
  if (now - atMs >= overMs) {
    const next = performance.eventLoopUtilization();
    busy = performance.eventLoopUtilization(next, before).utilization;
    [before, atMs] = [next, now];
  }
  return busy;
}
