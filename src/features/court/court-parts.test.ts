import fc from 'fast-check';
import { plainBook } from '@/drills';
import { asPlanned } from '@/core/counting/conditions';
import type { EventKind, TouchEvent } from '@/core/counting/event';
import { tally } from '@/core/counting/tally';
import { conditionWords } from './condition-words';
import { padNumber } from './count-pad';
import { plainSettings, readSettings } from './court-settings';
import { lateBy } from './late-by';
import { sentenceAfter } from './say';
import { trimOffersInWords } from './trim-words';

test.each([
  ['', null],
  ['.', null],
  ['0', 0],
  ['14', 14],
  ['7.3', 7.3],
  ['99999', null],
])('the pad’s "%s" is %p', (text, value) => expect(padNumber(text)).toBe(value));

test.each([
  ['as long as it waited', 1000, 1040, 40],
  ['not at all when it is not late', 1000, 1000, 0],
  ['not at all when the clocks are not the same', 1000, 990, 0],
  ['not at all after a sleep', 1000, 9000, 0],
])('a press is late %s', (_, timeStamp, nowMs, late) => expect(lateBy({ timeStamp }, nowMs)).toBe(late));

describe('what is kept of the court’s settings', () => {
  test.each([null, '', '{', '[]', '7', '{"leftHanded":"yes"}'])('%p is taken as nothing kept', (text) => {
    expect(readSettings(text)).toEqual(plainSettings);
  });
  test('what is there is taken, and what is strange is left out', () => {
    const kept = readSettings('{"leftHanded":true,"tempoPercent":110,"colour":"pink"}');
    expect(kept).toEqual({ ...plainSettings, leftHanded: true, tempoPercent: 110 });
  });
});

test('what differs from the plan, in words', () => {
  const drill = plainBook.drill('palm-up-bounce')!;
  expect(conditionWords(asPlanned, drill)).toBe('');
  const much = {
    stepId: 'row-50',
    picked: true,
    on: ['walking'],
    off: ['fewer'],
    ball: 'red',
    feed: 'live',
    breathless: true,
    softerBall: true,
  };
  expect(conditionWords(much, drill)).toBe(
    'Fifty in a row (own choice), walking, without fewer, red ball, live feed, shorter dose',
  );
});

test('offers to trim, in words', () => {
  const titleOf = (id: string) => ({ a: 'Carry', b: 'Ring target', c: 'Star of four' })[id]!;
  const offer = (more: object) =>
    trimOffersInWords({ shorten: [], leaveOut: [], savesS: 144, overS: 0, ...more }, titleOf);
  expect(offer({ shorten: ['a'] })).toBe('Shorten Carry to 60 %: saves 2:24, ends on time.');
  expect(offer({ leaveOut: ['b'], shorten: ['a', 'c'], overS: 30.2 })).toBe(
    'Leave out Ring target, shorten Carry and Star of four to 60 %: saves 2:24, still 0:31 over.',
  );
});

let next = 0;
const mark = (kind: EventKind, value: number | null = null): TouchEvent => ({
  id: String(next++).padStart(6, '0'),
  blockId: 'b',
  playerId: 'p',
  kind,
  attempt: 1,
  value,
  ref: null,
  atMs: 1000 * next,
  monoMs: 0,
  device: 'd',
});

describe('what a screen reader is told', () => {
  const heard = (events: readonly TouchEvent[], measure: Parameters<typeof tally>[1], target: number) =>
    events.flatMap(
      (_, n) =>
        sentenceAfter(
          'Mika',
          measure,
          target,
          tally(events.slice(0, n), measure),
          tally(events.slice(0, n + 1), measure),
        ) ?? [],
    );

  test('a row: every ten, the aim, and how long it was', () => {
    const row = [
      ...Array.from({ length: 12 }, () => mark('touch')),
      mark('drop'),
      mark('touch'),
      mark('drop'),
    ];
    expect(heard(row, 'row', 5)).toEqual([
      'Mika: 5, aim reached.',
      'Mika: 10.',
      'Mika: 12 in a row.',
      'Mika: 1 in a row.',
    ]);
  });
  test('points after every shot, a hold and a lap by their seconds', () => {
    expect(heard([mark('zone', 10), mark('zone', 0)], 'points', 50)).toEqual([
      'Mika: 10 after 1.',
      'Mika: 10 after 2.',
    ]);
    expect(heard([mark('hold', 12)], 'hold', 20)).toEqual(['Mika: 12 seconds.']);
    expect(heard([mark('lap', 7.5)], 'lap', 6)).toEqual(['Mika: 7.5 seconds.']);
  });
  test('never more than one sentence in three touches of a timed count, and nothing for what is taken back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 120 }), fc.integer({ min: 1, max: 60 }), (touches, target) => {
        const events = Array.from({ length: touches }, () => mark('touch'));
        expect(heard(events, 'count', target).length).toBeLessThanOrEqual(1 + touches / 10);
      }),
      { numRuns: 30 },
    );
    const three = [mark('touch'), mark('touch'), mark('touch')];
    const two = tally(three.slice(0, 2), 'row');
    expect(sentenceAfter('Mika', 'row', 2, tally(three, 'row'), two)).toBeNull();
  });
});
