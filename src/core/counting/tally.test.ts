import fc from 'fast-check';
import { sampleStandardDeviation } from 'simple-statistics';
import { bounceHeightCm, fingerMs, fingerSpreadCm } from './bounce-spread';
import type { EventKind, TouchEvent } from './event';
import { liveEvents } from './live';
import { measures, numberInWords, resultInWords, type Measure } from './measure';
import { normal, seededRandom } from '../base/random';
import { tally } from './tally';
import { partInText } from './weakest-part';

let next = 0;
beforeEach(() => (next = 0));

function event(kind: EventKind, more: Partial<TouchEvent> = {}): TouchEvent {
  const n = next++;
  return {
    id: String(n).padStart(6, '0'),
    blockId: 'b',
    playerId: 'p',
    kind,
    attempt: 1,
    value: null,
    ref: null,
    atMs: 1000 * n,
    monoMs: 1000 * n,
    device: 'd',
    ...more,
  };
}

/** "xx-x" is two touches, a drop, a touch; "u" takes the newest event back. */
function log(marks: string): TouchEvent[] {
  const events: TouchEvent[] = [];
  for (const mark of marks) {
    if (mark === 'u') events.push(event('undo', { ref: events.at(-1)!.id }));
    else events.push(event(mark === '-' ? 'drop' : 'touch'));
  }
  return events;
}

describe('in a row', () => {
  test.each([
    ['', null, 0, 0],
    ['xxx', 3, 3, 3],
    ['xxx-xx', 3, 2, 5],
    ['xx-xxxx-x', 4, 1, 7],
    ['-', 0, 0, 0],
    ['xxx-u', 3, 3, 3],
    ['xxx-uxx', 5, 5, 5],
    ['xxxu', 2, 2, 2],
    ['xxxuu', 3, 3, 3],
    ['xxx-uu', 3, 0, 3],
  ])('"%s": best %p, running %d, total %d', (marks, best, current, touches) => {
    expect(tally(log(marks), 'row')).toMatchObject({ best, current, touches });
  });

  test('attempts are the rows, the last one open', () => {
    expect(tally(log('xx-xxx-x'), 'row').attempts.map((a) => [a.number, a.result, a.drops, a.open])).toEqual([
      [1, 2, 1, false],
      [2, 3, 1, false],
      [3, 1, 0, true],
    ]);
  });

  test('a correction of a running row is a new beginning: what comes after it is counted on', () => {
    const events = log('xxxx');
    const fix = event('fix', { value: 10, ref: events[0]!.id });
    expect(tally([...events, fix], 'row')).toMatchObject({ best: 10, current: 10, touches: 10 });
    const more = log('xx');
    const after = tally([...events, fix, ...more], 'row');
    expect(after).toMatchObject({ best: 12, current: 12, touches: 12 });
    expect(after.attempts).toMatchObject([{ result: 12, open: true, fixed: { value: 10 } }]);
    // A second correction is said of all there is by then.
    const again = event('fix', { value: 11, ref: events[0]!.id });
    expect(tally([...events, fix, ...more, again], 'row')).toMatchObject({ best: 11, touches: 11 });
    const zones = [event('zone', { value: 5 }), event('zone', { value: 1 })];
    const scored = [...zones, event('fix', { value: 8, ref: zones[0]!.id }), event('zone', { value: 5 })];
    expect(tally(scored, 'points')).toMatchObject({ best: 13, score: 13, shots: 3 });
  });

  test('what is done as a whole has no result, only the tries it asked for', () => {
    const done = event('done', { value: 12 });
    for (const measure of ['reps', 'hold', 'row'] as const)
      expect(tally([done], measure)).toMatchObject({
        best: null,
        touches: 12,
        drops: 0,
        gaps: 0,
        current: 0,
        attempts: [{ result: null, whole: true, open: false }],
      });
    // What is counted besides is an attempt of its own.
    const counted = tally([done, event('touch'), event('touch')], 'reps');
    expect(counted.attempts.map(({ result, whole }) => [result, whole])).toEqual([
      [null, true],
      [2, false],
    ]);
    expect(tally([done, event('undo', { ref: done.id })], 'reps').attempts).toEqual([]);
  });

  test('the rate counts the time between touches, not the waits after a drop', () => {
    expect(tally(log('xxx'), 'row').ratePerMin).toBeCloseTo(60, 9);
    expect(tally(log('xx-xx'), 'row').ratePerMin).toBeCloseTo(60, 9);
    expect(tally(log('x'), 'row').ratePerMin).toBeNull();
    // One gap of a second is too little to make a rate of.
    expect(tally(log('xx'), 'row').ratePerMin).toBeNull();
    // In a time box the wait after a drop is no gap either: three gaps of a second.
    expect(tally(log('xx--xxx'), 'count')).toMatchObject({ gaps: 3, touchingMs: 3000 });
    expect(tally(log('xx--xxx'), 'count').ratePerMin).toBeCloseTo(60, 9);
  });
});

describe('the other measures', () => {
  test('ring target: 5, 0, 10, 1, 1, 5, 10, 5, 1, 1 make 39 with ten shots', () => {
    // Common practice: rings of 1, 5 and 10 points, ten shots.
    const shots = [5, 0, 10, 1, 1, 5, 10, 5, 1, 1].map((value) => event('zone', { value }));
    expect(tally(shots, 'points')).toMatchObject({ score: 39, shots: 10, best: 39, touches: 9, drops: 1 });
  });

  test('a whole pass of a sequence is so many touches, at the rate they took, and is taken back as one', () => {
    const passes = [
      event('touch', { value: 4 }),
      event('touch', { value: 4 }),
      event('touch'),
      event('drop'),
    ];
    const counted = tally(passes, 'count');
    expect(counted).toMatchObject({ current: 9, touches: 9, drops: 1 });
    // Four strokes in the second after the first pass, one in the second after that.
    expect(counted.attempts[0]).toMatchObject({ gaps: 5, touchingMs: 2000 });
    expect(tally([...passes, event('undo', { ref: passes[1]!.id })], 'count').current).toBe(5);
    // Where no strokes are counted in a time, a touch is a touch.
    expect(tally([event('touch', { value: 4 })], 'row').current).toBe(1);
  });

  test('a count adds up by time box, whatever order boxes come in', () => {
    const events = [1, 1, 2, 2, 2, 1].map((attempt) => event('touch', { attempt }));
    expect(tally([...events, event('drop', { attempt: 2 })], 'count')).toMatchObject({
      best: 3,
      touches: 6,
      drops: 1,
    });
  });

  test('a hold counts for as long as it lasted', () => {
    expect(tally([event('hold', { value: 10 }), event('drop', { value: 4 })], 'hold')).toMatchObject({
      best: 10,
      current: 4,
    });
  });

  test('laps in seconds: less is better, and a lap given up is no result', () => {
    const events = [event('lap', { value: 12.4 }), event('drop'), event('lap', { value: 11.9 })];
    expect(tally(events, 'lap')).toMatchObject({ best: 11.9, drops: 1 });
  });
});

describe('laps in parts', () => {
  // As a court screen writes it down.
  const third = () => event('touch', { value: 0.3333 });
  test.each([
    [1, 0.33, '⅓ laps', 0],
    [3, 1, '1 lap', 1],
    [10, 3.33, '3⅓ laps', 3],
    [11, 3.67, '3⅔ laps', 3],
  ] as const)('%d thirds are %d laps', (n, best, words, touches) => {
    expect(tally(Array.from({ length: n }, third), 'laps')).toMatchObject({ best, touches });
    expect(resultInWords('laps', best)).toBe(words);
  });

  test('whole laps and thirds add up, and a third can be taken back', () => {
    const events = [event('touch'), third(), third()];
    expect(tally(events, 'laps').best).toBe(1.67);
    expect(tally([...events, event('undo', { ref: events.at(-1)!.id })], 'laps').best).toBe(1.33);
  });

  test('halves and quarters read as such', () => {
    expect([2.5, 0.25, 4, 1.2].map((n) => numberInWords('laps', n))).toEqual(['2½', '¼', '4', '1.2']);
    expect(numberInWords('row', 2.5)).toBe('2.5');
  });
});

describe('a routine by its weakest part', () => {
  const touches = (...parts: number[]) =>
    parts.flatMap((n, index) =>
      Array.from({ length: n }, () => event('touch', { text: partInText(index + 1, parts.length) })),
    );
  test('the smallest count of all parts; one that was not begun is 0', () => {
    expect(tally(touches(12, 9, 14), 'weakest part')).toMatchObject({ best: 9, touches: 35 });
    expect(tally(touches(12, 9, 0), 'weakest part').best).toBe(0);
    expect(tally([event('touch'), event('touch')], 'weakest part').best).toBe(2);
  });
  test('every go is an attempt', () => {
    const first = touches(3, 4);
    const second = touches(5, 6).map((one) => ({ ...one, attempt: 2 }));
    expect(tally([...first, ...second], 'weakest part').attempts.map((one) => one.result)).toEqual([3, 5]);
  });
});

describe('quality and evenness', () => {
  test('ten catches graded 2, 1 and 0 add up; a bounced one is a drop', () => {
    const marks = [2, 2, 1, 0, 2, 1, 2, 0, 2, 2].map((value) => event('grade', { value }));
    expect(tally(marks, 'grade')).toMatchObject({ best: 14, touches: 8, drops: 2, shots: 10, score: 14 });
  });

  test('bounces half a second apart are all 30.6 cm high: no spread', () => {
    // h = g t²/8 (free fall, half the time up and half down): 9.80665 x 0.25 / 8 = 0.3065 m.
    expect(bounceHeightCm(0.5)).toBeCloseTo(30.65, 2);
    const even = Array.from({ length: 6 }, (_, n) => event('touch', { atMs: 500 * n }));
    expect(tally(even, 'steadiness')).toMatchObject({ best: 0, touches: 6 });
  });

  test('the spread is the sample standard deviation (simple-statistics), and a drop is no bounce', () => {
    const at = [0, 380, 1000, 1390, 2010, 2400];
    const times = at.slice(1).map((ms, n) => (ms - at[n]!) / 1000);
    const touches = at.map((atMs) => event('touch', { atMs }));
    // What the finger adds is taken out: variances subtract.
    const finger = fingerSpreadCm(times.reduce((sum, s) => sum + s * s, 0) / times.length);
    const whole = sampleStandardDeviation(times.map(bounceHeightCm));
    const spread = Math.round(10 * Math.sqrt(whole ** 2 - finger ** 2)) / 10;
    expect(spread).toBeGreaterThan(10);
    expect(tally(touches, 'steadiness').best).toBe(spread);
    const dropped = [...touches, event('drop', { atMs: 2600 }), event('touch', { atMs: 9000 })];
    expect(tally(dropped, 'steadiness').best).toBe(spread);
  });

  test('a finger that is 20 to 30 ms off makes 4.5 to 7 cm of spread of bounces of half a metre', () => {
    // By hand: half a metre takes 0.639 s; 9.807 x 0.639 / 4 = 1.566 m for a second; times 1.414 x 20 ms = 4.4 cm.
    const squareS = (8 * 0.5) / 9.80665;
    expect(fingerSpreadCm(squareS, 20)).toBeCloseTo(4.43, 2);
    expect(fingerSpreadCm(squareS, 30)).toBeCloseTo(6.64, 2);
  });

  test('even bounces tapped by a finger that is off come out as nearly even, uneven ones as uneven', () => {
    const random = seededRandom(4);
    const tapped = (heightCm: () => number) => {
      let ms = 0;
      const touches = Array.from({ length: 200 }, () => {
        ms += 1000 * Math.sqrt((8 * heightCm()) / 980.665);
        return event('touch', { atMs: Math.round(ms + normal(random, 0, fingerMs)) });
      });
      return tally(touches, 'steadiness').best!;
    };
    expect(tapped(() => 50)).toBeLessThan(2.5);
    expect(tapped(() => normal(random, 50, 8))).toBeCloseTo(8, -0.5);
  });

  test('fewer than four bounces say nothing', () => {
    const few = [0, 500, 1000, 1500].map((atMs) => event('touch', { atMs }));
    expect(tally(few, 'steadiness').best).toBeNull();
  });
});

test('an undo of another player’s touch, or of a later one, changes nothing', () => {
  const events = [event('touch'), event('touch')];
  const foreign = event('undo', { ref: events[0]!.id, playerId: 'q' });
  const early = event('undo', { ref: '999999' });
  expect(liveEvents([...events, foreign, early])).toEqual(events);
});

describe('for any log', () => {
  const measure = fc.constantFrom(...(Object.keys(measures) as Measure[]));
  const anyLog = fc
    .array(
      fc.record({
        kind: fc.constantFrom<EventKind>('touch', 'touch', 'touch', 'drop', 'zone', 'hold', 'undo', 'start'),
        attempt: fc.integer({ min: 1, max: 3 }),
        value: fc.integer({ min: 0, max: 10 }),
        back: fc.integer({ min: 1, max: 6 }),
      }),
      { maxLength: 40 },
    )
    .map((marks) =>
      marks.reduce<TouchEvent[]>((events, { kind, attempt, value, back }, n) => {
        const id = (i: number) => String(i).padStart(6, '0');
        const ref = kind === 'undo' ? id(n - back) : null;
        const playerId = kind === 'start' ? null : 'p';
        events.push(
          event(kind, { id: id(n), attempt, value: kind === 'touch' ? null : value, ref, playerId }),
        );
        return events;
      }, []),
    );

  test('order of arrival and duplicates do not matter', () => {
    fc.assert(
      fc.property(
        anyLog.chain((events) =>
          fc.tuple(
            fc.constant(events),
            fc.shuffledSubarray(events, { minLength: events.length }),
            fc.subarray(events),
          ),
        ),
        measure,
        ([events, shuffled, again], m) => {
          expect(tally([...shuffled, ...again], m)).toEqual(tally(events, m));
        },
      ),
      { numRuns: 500 },
    );
  });

  test('taking the newest event back gives the tally before it, and back again gives it back', () => {
    fc.assert(
      fc.property(anyLog, measure, (events, m) => {
        fc.pre(events.length > 0 && events.at(-1)!.kind !== 'undo');
        const last = events.at(-1)!;
        const undo = event('undo', { id: 'x1', ref: last.id, playerId: last.playerId });
        const redo = event('undo', { id: 'x2', ref: undo.id, playerId: last.playerId });
        expect(tally([...events, undo], m)).toEqual(tally(events.slice(0, -1), m));
        expect(tally([...events, undo, redo], m)).toEqual(tally(events, m));
      }),
      { numRuns: 500 },
    );
  });

  test('a drop that comes last never lowers a best', () => {
    fc.assert(
      fc.property(anyLog, measure, fc.integer({ min: 1, max: 4 }), (events, m, attempt) => {
        const before = tally(events, m).best;
        const after = tally([...events, event('drop', { id: 'x1', attempt, value: 0 })], m).best;
        if (before === null) return;
        if (measures[m].lowerIsBetter) expect(after).toBeLessThanOrEqual(before);
        else expect(after).toBeGreaterThanOrEqual(before);
      }),
      { numRuns: 500 },
    );
  });

  test('totals are the sums of the attempts', () => {
    fc.assert(
      fc.property(anyLog, measure, (events, m) => {
        const result = tally(events, m);
        expect(result.attempts.reduce((sum, a) => sum + a.touches, 0)).toBe(result.touches);
        expect(result.attempts.reduce((sum, a) => sum + a.drops, 0)).toBe(result.drops);
      }),
    );
  });
});

describe('what was heard', () => {
  const heard = (kind: EventKind, more: Partial<TouchEvent> = {}) =>
    event(kind, { origin: 'ear 1', ...more });

  test('is an attempt of its own beside what was tapped, in a row and in a time box', () => {
    for (const measure of ['row', 'count'] as const) {
      next = 0;
      const { attempts } = tally([...log('xx'), heard('touch'), heard('touch'), heard('touch')], measure);
      expect(attempts.map(({ result, origin }) => [result, origin])).toEqual([
        [2, null],
        [3, 'ear 1'],
      ]);
    }
  });

  test('bounces heard are as even as they were; of the same tapped a finger’s share is taken off', () => {
    const times = [0, 500, 1010, 1500, 2020, 2510, 3000];
    const spreadOf = (origin: string | null) =>
      tally(
        times.map((atMs) => event('touch', { atMs, origin })),
        'steadiness',
      ).best!;
    const heights = times.slice(1).map((one, at) => bounceHeightCm((one - times[at]!) / 1000));
    expect(spreadOf('ear 1')).toBeCloseTo(sampleStandardDeviation(heights), 1);
    expect(spreadOf(null)).toBe(0);
  });
});
