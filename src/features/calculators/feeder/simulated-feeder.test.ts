import type { FeederEvent } from '@/core/ballistics/feed/events';
import { SimulatedFeeder } from './simulated-feeder';

/** A machine on a clock that is turned by hand. */
function machine() {
  let nowMs = 0;
  let due: { at: number; work: () => void } | null = null;
  const feeder = new SimulatedFeeder({
    now: () => nowMs,
    later: (work, ms) => {
      const mine = { at: nowMs + ms, work };
      due = mine;
      return () => {
        if (due === mine) due = null;
      };
    },
  });
  const heard: FeederEvent[] = [];
  feeder.listen((event) => heard.push(event));
  return {
    feeder,
    heard,
    passes: (ms: number) => {
      const end = nowMs + ms;
      while (due && due.at <= end) {
        const { at, work } = due;
        due = null;
        nowMs = at;
        work();
      }
      nowMs = end;
    },
  };
}

test('it tells of every ball: fed, at its top, bounced, one interval after the other', () => {
  const { feeder, heard, passes } = machine();
  feeder.start({ apexS: 0.5, bounceS: 1.2 }, 3);
  expect(heard.map(({ kind }) => kind)).toEqual(['fed']);
  passes(4000);
  expect(heard.map(({ kind, ball, atS }) => [kind, ball, atS])).toEqual([
    ['fed', 1, 0],
    ['apex', 1, 0.5],
    ['bounced', 1, 1.2],
    ['fed', 2, 3],
    ['apex', 2, 3.5],
  ]);
});

test('it goes on for minutes without losing or doubling a ball', () => {
  const { feeder, heard, passes } = machine();
  feeder.start({ apexS: 0.4, bounceS: null }, 2.5);
  passes(200_000);
  const fed = heard.filter(({ kind }) => kind === 'fed').map(({ ball }) => ball);
  expect(fed).toEqual(Array.from({ length: 81 }, (_, k) => k + 1));
});

test('stopped, it tells nothing more; started anew, it begins at the first ball', () => {
  const { feeder, heard, passes } = machine();
  feeder.start({ apexS: 0.5, bounceS: 1 }, 2);
  passes(700);
  feeder.stop();
  expect(feeder.running).toBe(false);
  passes(10_000);
  expect(heard).toHaveLength(2);
  feeder.start({ apexS: 0.5, bounceS: 1 }, 2);
  expect(heard.at(-1)).toMatchObject({ kind: 'fed', ball: 1 });
});
