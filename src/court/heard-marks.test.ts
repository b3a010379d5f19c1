import type { EventKind, TouchEvent } from '@/core/counting/event';
import { tally } from '@/core/counting/tally';
import type { Phase } from '@/core/court/phases';
import type { HeardRow } from '@/core/sound/count/rows';
import type { Heard } from '@/core/sound/hearing';
import { catalogue } from '@/drills/catalogue';
import { evennessCm } from '@/core/sound/count/evenness';
import type { Step } from '@/drills/base/types';
import * as heardIn from './heard-marks';
import { keptAs, longestRow } from './heard-marks';
import { triesAtHome } from './tries-at-home';
import { triesOnCourt } from './tries-on-court';

const drill = (id: string) => catalogue.find((one) => one.id === id)!;
const stepOf = (drillId: string, stepId: string) => drill(drillId).steps.find(({ id }) => id === stepId)!;
const clock = (kind: EventKind, atMs: number): TouchEvent => ({
  id: `${atMs} ${kind}`,
  blockId: 'b',
  playerId: null,
  kind,
  attempt: 1,
  value: null,
  ref: null,
  atMs,
  monoMs: atMs,
  device: 'd',
});
const row = (times: readonly number[], endedBy: HeardRow['endedBy']): HeardRow => ({
  touches: times.map((atS) => ({ atS, sure: 0.95, heard: true })),
  howMany: { count: times.length, from: times.length, to: times.length },
  endedBy,
});
const rows = (...all: HeardRow[]): Heard => ({
  by: 'rows',
  evennessCm: null,
  turns: null,
  rows: { rows: all, all: { count: 0, from: 0, to: 0 }, periodS: 0.5, leftOut: [] },
});
const startMs = 100_000;
const where = { tries: 0, attempts: 0 };
type OnCourt = Omit<Parameters<typeof triesOnCourt>[0], 'measure'> & { readonly step: Step };
const heardMarks = (heard: Heard, { step, ...court }: OnCourt) =>
  heardIn.heardMarks(heard, {
    blockId: 'b',
    playerId: 'p',
    startMs,
    step,
    tryAt: triesOnCourt({ measure: step.measure, ...court }),
  });
const asEvents = (marks: ReturnType<typeof heardMarks>['marks']): TouchEvent[] =>
  marks.map((mark, n) => ({
    id: String(1000 + n),
    value: null,
    ref: null,
    monoMs: 0,
    device: 'd',
    attempt: 1,
    atMs: 0,
    ...mark,
  }));

test('rows go into the log touch by touch at their own moments, and count as they were heard', () => {
  const step = stepOf('palm-up-bounce', 'row-20');
  const heard = rows(row([1, 1.5, 2], 'floor'), row([5, 5.5, 6, 6.5], null));
  const { marks, outside } = heardMarks(heard, {
    ...where,
    step,
    dose: { kind: 'row', target: 20, capS: 60 },
    phases: [],
    clockEvents: [clock('start', 90_000)],
  });
  expect(outside).toBe(0);
  expect(marks.map(({ kind }) => kind).join(' ')).toBe('touch touch touch drop touch touch touch touch');
  expect(marks[1]).toMatchObject({ atMs: startMs + 1500, origin: 'ear 1' });
  const { attempts, best } = tally(asEvents(marks), 'row');
  expect(attempts.map(({ result, open, origin }) => [result, open, origin])).toEqual([
    [3, false, 'ear 1'],
    [4, true, 'ear 1'],
  ]);
  expect(best).toBe(heard.by === 'rows' && longestRow(heard.rows).count);
  expect(keptAs(marks, 'row')).toEqual([3, 4]);
  // Another row heard later does not go on with the one that had no end.
  const again = heardMarks(rows(row([9, 9.5], null)), {
    ...where,
    step,
    attempts: attempts.length,
    phases: [],
    clockEvents: [clock('start', 90_000)],
    dose: { kind: 'row', target: 20, capS: 60 },
  });
  const both = tally(
    [...asEvents(marks), ...asEvents(again.marks).map((one) => ({ ...one, id: `9${one.id}` }))],
    'row',
  );
  expect(both.attempts.map(({ result }) => result)).toEqual([3, 4, 2]);
});

test('in a time box only what falls into the work counts, each in its own round, whatever the clock does later', () => {
  const step = stepOf('palm-up-bounce', 'bounce-20-s');
  const phases: Phase[] = [
    { kind: 'work', seconds: 10, round: 1, turn: 1 },
    { kind: 'rest', seconds: 5, round: 1, turn: 1 },
    { kind: 'work', seconds: 10, round: 2, turn: 1 },
  ];
  // The clock starts with the sound, is paused at 11 s for four seconds, and ended at 30 s.
  const clockEvents = [
    clock('start', startMs),
    clock('pause', startMs + 11_000),
    clock('start', startMs + 15_000),
    clock('end', startMs + 30_000),
  ];
  const heard = rows(row([2, 3, 4], 'pause'), row([12.5], 'pause'), row([20, 21], null));
  const { marks, outside } = heardMarks(heard, {
    ...where,
    step,
    phases,
    clockEvents,
    dose: { kind: 'timed', rounds: 2, workS: 10, restS: 5 },
  });
  expect(marks.map(({ attempt }) => attempt)).toEqual([1, 1, 1, 2, 2]);
  expect(outside).toBe(1);
});

test('a toss counts when its claps are there and it was caught', () => {
  const step = stepOf('clap-and-catch', 'three-claps');
  const toss = (atS: number, claps: number, caught: boolean) => ({
    atS,
    caught,
    howMany: { count: claps, from: claps, to: claps },
    claps: Array.from({ length: claps }, (_, n) => ({ atS: atS - 1 + n / 5, sure: 1, heard: true })),
  });
  const heard: Heard = {
    by: 'claps',
    leftOut: [],
    tosses: [toss(2, 3, true), toss(5, 2, true), toss(8, 4, true), toss(11, 3, false)],
  };
  const { marks } = heardMarks(heard, {
    ...where,
    step,
    phases: [],
    clockEvents: [clock('start', 90_000)],
    dose: { kind: 'row', target: 10, capS: 60 },
  });
  expect(marks.map(({ kind }) => kind)).toEqual(['touch', 'drop', 'touch', 'drop']);
});

test('catches get the points of the step’s own grades', () => {
  const step = stepOf('quietest-ten', 'head-high');
  const heard: Heard = {
    by: 'catches',
    leftOut: [],
    catches: (['silent', 'buzz', 'bounced'] as const).map((grade, n) => ({
      atS: 1 + n,
      grade,
      overDb: -10,
      bounces: 0,
      sure: 0.9,
    })),
  };
  const { marks } = heardMarks(heard, {
    ...where,
    step,
    phases: [],
    clockEvents: [clock('start', 90_000)],
    dose: { kind: 'shots', shots: 10, ballsAtHand: 10, collectS: 0 },
  });
  expect(marks.map(({ kind, value }) => [kind, value])).toEqual([
    ['grade', 2],
    ['grade', 1],
    ['grade', 0],
  ]);
});

test('how even bounces were is the same number heard and kept: what was not heard, and pauses, say nothing', () => {
  const step = stepOf('turn-over-bounce', 'same-height');
  const first = row([1, 1.5, 2.02, 2.5, 3.5, 4.01], 'floor');
  // The fifth is one that the beat has room for and nobody heard.
  const touches = first.touches.flatMap((one, at) =>
    at === 4 ? [{ atS: 3, sure: 0.8, heard: false }, one] : [one],
  );
  const heardTwice = rows({ ...first, touches }, row([8, 8.49, 9, 9.52], null));
  const { marks } = heardMarks(heardTwice, {
    ...where,
    step,
    phases: [{ kind: 'work', seconds: 60, round: 1, turn: 1 }],
    clockEvents: [clock('start', startMs)],
    dose: { kind: 'timed', rounds: 1, workS: 60, restS: 0 },
  });
  const [kept, ...more] = keptAs(marks, 'steadiness');
  expect(more).toEqual([]);
  expect(kept).toBe(heardTwice.by === 'rows' && evennessCm(heardTwice.rows.rows));
});

test('at home rows are tries of their own, and a time counts what falls into it and a moment after', () => {
  const home = { blockId: 'b', playerId: 'p', startMs };
  const rowStep = stepOf('palm-up-bounce', 'row-20');
  const two = rows(row([1, 1.5, 2], 'floor'), row([5, 5.5], null));
  const inRows = heardIn.heardMarks(two, {
    ...home,
    step: rowStep,
    tryAt: triesAtHome({ measure: 'row', next: 4, box: null }),
  });
  expect(inRows.outside).toBe(0);
  expect(inRows.marks.map(({ attempt }) => attempt)).toEqual([4, 4, 4, 4, 5, 5]);
  expect(keptAs(inRows.marks, 'row')).toEqual([3, 2]);
  const inTime = heardIn.heardMarks(rows(row([0.5, 2, 21.7, 21.9], null)), {
    ...home,
    step: stepOf('palm-up-bounce', 'bounce-20-s'),
    tryAt: triesAtHome({ measure: 'count', next: 2, box: { fromMs: startMs + 1000, workS: 20 } }),
  });
  expect(inTime.outside).toBe(2);
  expect(inTime.marks.map(({ attempt }) => attempt)).toEqual([2, 2]);
});
