import fc from 'fast-check';
import { answersByCall } from '../court/calls/answers';
import { adjusted, asPlanned, changesUnder, conditionsNow, forEverybody, isAdjustment } from './conditions';
import { adjustKinds, type EventKind, type TouchEvent } from './event';
import { tally } from './tally';

let next = 0;
beforeEach(() => (next = 0));
const event = (kind: EventKind, more: Partial<TouchEvent> = {}): TouchEvent => {
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
};
const touches = (n: number) => Array.from({ length: n }, () => event('touch'));

describe('conditions', () => {
  test('each press changes one thing, and pressing again takes it back', () => {
    const put = [
      event('step', { text: 'row-50', value: 1 }),
      event('change', { text: 'walking', value: 1 }),
      event('breathless', { value: 1 }),
      event('ball', { text: 'red', value: 1 }),
      event('feed', { text: 'random' }),
    ];
    expect(conditionsNow(put)).toEqual({
      stepId: 'row-50',
      picked: true,
      on: ['walking'],
      off: [],
      breathless: true,
      ball: 'red',
      feed: 'random',
      softerBall: true,
    });
    const back = [
      event('step', { text: null, value: 0 }),
      event('change', { text: 'walking', value: 0 }),
      event('breathless', { value: 0 }),
      event('ball', { text: null }),
      event('feed', { text: null }),
    ];
    expect(conditionsNow([...put, ...back])).toEqual(asPlanned);
    expect(conditionsNow([...put, event('undo', { ref: put[2]!.id })]).breathless).toBe(false);
  });

  test('a planned change is taken off by name, and put back', () => {
    const off = conditionsNow([event('change', { text: 'walking', value: 0 })]);
    expect(changesUnder(['walking', 'higher'], off)).toEqual(['higher']);
    const again = conditionsNow([
      event('change', { text: 'walking', value: 0 }),
      event('change', { text: 'walking', value: 1 }),
    ]);
    expect(changesUnder(['walking', 'higher'], again)).toEqual(['walking', 'higher']);
    expect(changesUnder(['walking'], { ...asPlanned, on: ['higher', 'walking'] })).toEqual([
      'walking',
      'higher',
    ]);
  });

  test('what changes nothing is the very same conditions', () => {
    const same = [event('breathless', { value: 0 }), event('change', { text: null, value: 1 })];
    for (const one of same.filter(isAdjustment)) expect(adjusted(asPlanned, one)).toBe(asPlanned);
    expect(same.filter(isAdjustment)).toHaveLength(2);
    expect(isAdjustment(event('touch'))).toBe(false);
  });

  test('only adjustments for the whole block, and what takes them back, are everybody’s', () => {
    const all = [
      event('start', { playerId: null }),
      event('breathless', { playerId: null, value: 1 }),
      event('undo', { playerId: null, ref: '000001' }),
      event('extend', { playerId: null, value: 30 }),
      event('ball', { text: 'red' }),
    ];
    expect(forEverybody(all).map((one) => one.kind)).toEqual(['breathless', 'undo']);
  });
});

describe('attempts and what they were made under', () => {
  test('an adjustment closes the running row: the next touch begins one under the new conditions', () => {
    const events = [...touches(4), event('change', { text: 'walking', value: 1 }), ...touches(2)];
    const result = tally(events, 'row');
    expect(result.attempts.map((one) => [one.result, one.open, one.conditions.on])).toEqual([
      [4, false, []],
      [2, true, ['walking']],
    ]);
    expect(result).toMatchObject({ best: 4, current: 2, touches: 6 });
  });

  test('before the next touch the count under the new conditions is nothing', () => {
    const events = [...touches(4), event('step', { text: 'next' })];
    for (const measure of ['row', 'count', 'reps'] as const) expect(tally(events, measure).current).toBe(0);
  });

  test('a time box is split where its conditions change', () => {
    const events = [...touches(3), event('breathless', { value: 1 }), ...touches(2)];
    expect(tally(events, 'count').attempts.map((one) => one.result)).toEqual([3, 2]);
  });

  test('an undone adjustment splits nothing', () => {
    const change = event('change', { text: 'walking', value: 1 });
    const before = touches(4);
    const events = [...before, change, event('undo', { ref: change.id }), ...touches(2)];
    expect(tally(events, 'row').attempts.map((one) => one.result)).toEqual([6]);
  });

  test('notes, checkpoints and court decisions count nothing', () => {
    const events = [
      ...touches(2),
      event('note', { text: 'Tired today' }),
      event('held', { text: 'Quiet hands' }),
      event('broke', { text: 'Quiet hands' }),
      event('extend', { value: 30 }),
    ];
    expect(tally(events, 'row')).toMatchObject({ best: 2, touches: 2, current: 2 });
  });
});

describe('what was counted aloud', () => {
  test.each([
    ['row', 14, { best: 14, touches: 14, drops: 1 }],
    ['count', 31, { best: 31, touches: 31, drops: 0 }],
    ['reps', 12, { best: 12, touches: 12, drops: 0 }],
    ['laps', 6, { best: 6, touches: 6, drops: 0 }],
    ['points', 39, { best: 39, score: 39, shots: 0 }],
    ['grade', 15, { best: 15, score: 15 }],
    ['hold', 9.5, { best: 9.5, touches: 1 }],
    ['lap', 7.3, { best: 7.3, touches: 1 }],
    ['steadiness', 4.2, { best: 4.2 }],
  ] as const)('%s: %d is an attempt of its own, marked as reported', (measure, value, result) => {
    const mixed = [event('result', { value, attempt: 7 })];
    expect(tally(mixed, measure)).toMatchObject(result);
    expect(tally(mixed, measure).attempts).toMatchObject([{ result: value, reported: true, open: false }]);
  });

  test('touches before and after it are attempts of their own', () => {
    const events = [...touches(3), event('result', { value: 14, attempt: 2 }), ...touches(2)];
    expect(tally(events, 'row').attempts.map((one) => [one.result, one.reported])).toEqual([
      [3, false],
      [14, true],
      [2, false],
    ]);
  });
});

describe('a count put right', () => {
  test('has the new result, who said so and when; the touches follow, and undo takes it back', () => {
    const events = [...touches(3), event('drop'), ...touches(5)];
    const { attempts } = tally(events, 'row');
    const fix = event('fix', { ref: attempts[0]!.eventId, value: 7, by: 'Ottilie' });
    const right = tally([...events, fix], 'row');
    expect(right.attempts[0]).toMatchObject({
      result: 7,
      touches: 7,
      fixed: { value: 7, by: 'Ottilie', atMs: fix.atMs },
    });
    expect(right).toMatchObject({ best: 7, touches: 12 });
    expect(tally([...events, fix, event('undo', { ref: fix.id })], 'row')).toEqual(tally(events, 'row'));
  });

  test('the last correction holds; one of an attempt nobody knows changes nothing', () => {
    const events = touches(3);
    const ref = tally(events, 'row').attempts[0]!.eventId;
    const twice = [...events, event('fix', { ref, value: 7 }), event('fix', { ref, value: 4 })];
    expect(tally(twice, 'row').best).toBe(4);
    expect(tally([...events, event('fix', { ref: '999999', value: 9 })], 'row')).toEqual(
      tally(events, 'row'),
    );
  });

  test('points: the score follows', () => {
    const events = [event('zone', { value: 10 }), event('zone', { value: 5 })];
    const fix = event('fix', { ref: events[1]!.id, value: 20 });
    expect(tally([...events, fix], 'points')).toMatchObject({ score: 20, best: 20, shots: 2 });
  });
});

test('with any adjustments in between, no touch is lost and none is counted twice', () => {
  const anyKind = fc.constantFrom<EventKind>('touch', 'touch', 'touch', 'drop', ...adjustKinds);
  fc.assert(
    fc.property(
      fc.array(fc.record({ kind: anyKind, value: fc.constantFrom(0, 1), text: fc.constantFrom('a', 'b') })),
      (made) => {
        next = 0;
        const events = made.map(({ kind, value, text }) =>
          kind === 'touch' || kind === 'drop' ? event(kind) : event(kind, { value, text }),
        );
        for (const measure of ['row', 'count', 'reps'] as const) {
          const result = tally(events, measure);
          expect(result.touches).toBe(made.filter((one) => one.kind === 'touch').length);
          expect(result.drops).toBe(made.filter((one) => one.kind === 'drop').length);
          expect(result.conditions).toEqual(conditionsNow(events));
          for (const attempt of result.attempts) expect(attempt.fixed).toBeNull();
        }
      },
    ),
    { numRuns: 400 },
  );
});

test('answers by call: touches are right, drops are wrong, and what was not called is left out', () => {
  const events = [
    event('touch', { text: 'left' }),
    event('drop', { text: 'left' }),
    event('touch', { text: 'right' }),
    event('grade', { text: 'right', value: 0 }),
    event('zone', { text: 'right', value: 5 }),
    event('touch'),
    event('note', { text: 'left' }),
  ];
  expect(answersByCall(events)).toEqual([
    { word: 'left', right: 1, wrong: 1 },
    { word: 'right', right: 2, wrong: 1 },
  ]);
});
