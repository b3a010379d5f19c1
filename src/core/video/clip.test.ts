import type { TouchEvent } from '../counting/event';
import { agreement, isMeasurable, lookedAt } from './checkpoints';
import { frameBeforeS, withFrame } from './frames';
import { markKinds, markWords, toggled, type ClipMark, type MarkKind } from './marks';
import { angleAt, heightOf, slopeOf } from './measure';
import { contactsPerMin, laps, readings, stepsBefore } from './readings';

const frameS = 1 / 30;
const mark = (kind: MarkKind, atS: number): ClipMark => ({ kind, atS, frameS });

describe('marks', () => {
  test('every kind has a key of its own', () => {
    expect(new Set(markKinds.map((kind) => markWords[kind].key)).size).toBe(markKinds.length);
  });

  test('a second press on the same frame takes the mark off; on another it is another', () => {
    const one = toggled([], mark('contact', 1));
    expect(toggled(one, mark('contact', 1))).toEqual([]);
    expect(toggled(one, mark('contact', 0.9)).map(({ atS }) => atS)).toEqual([0.9, 1]);
    expect(toggled(one, mark('bounce', 1))).toHaveLength(2);
  });
});

describe('times', () => {
  const stroke = [mark('fed', 0.2), mark('racket back', 0.8), mark('bounce', 1.1), mark('contact', 1.5)];
  const read = (name: string, marks = stroke) => readings(marks).find((one) => one.name === name);

  test('each with its give or take of a frame', () => {
    expect(read('feed to contact')).toMatchObject({ giveS: frameS });
    expect(read('feed to contact')!.seconds).toBeCloseTo(1.3, 9);
    expect(read('ready before the bounce')!.seconds).toBeCloseTo(0.3, 9);
    expect(read('bounce to contact')!.seconds).toBeCloseTo(0.4, 9);
    expect(read('racket waits at the top')!.seconds).toBeCloseTo(0.7, 9);
  });

  test('a racket that comes back after the bounce is not ready before it: less than nothing', () => {
    const late = [mark('bounce', 1), mark('racket back', 1.2), mark('contact', 1.5)];
    expect(read('ready before the bounce', late)!.seconds).toBeCloseTo(-0.2, 9);
  });

  test('every stroke by itself', () => {
    const two = [...stroke, ...stroke.map((one) => ({ ...one, atS: one.atS + 3 }))];
    expect(readings(two).filter(({ name }) => name === 'feed to contact')).toHaveLength(2);
    expect(readings([mark('split', 1), mark('first step', 1.25)])[0]!.seconds).toBeCloseTo(0.25, 9);
    expect(readings([mark('contact', 1), mark('fed', 2)])).toEqual([]);
  });

  test('hits a minute: eleven in ten seconds are sixty', () => {
    const hits = Array.from({ length: 11 }, (_, n) => mark('contact', n));
    expect(contactsPerMin(hits)!.perMin).toBeCloseTo(60, 9);
    expect(contactsPerMin(hits)!.give).toBeCloseTo(0.2, 9);
    expect(contactsPerMin(hits.slice(0, 2))).toBeNull();
  });

  test('laps and their parts', () => {
    const run = [mark('finish', 1), mark('foot down', 3), mark('foot down', 5.5), mark('finish', 7)];
    const [lap] = laps(run);
    expect(lap!.seconds).toBeCloseTo(6, 9);
    expect(lap!.partsS).toEqual([2, 2.5, 1.5]);
  });

  test('steps before a contact, and which kind', () => {
    const feet = [
      ...[mark('foot down', 1), mark('foot down', 1.2), mark('contact', 1.5)],
      ...[mark('foot across', 3), mark('foot down', 3.2), mark('contact', 3.5)],
      ...[mark('first step', 5), mark('contact', 5.5)],
    ];
    expect(stepsBefore(feet).map(({ pattern, sideSteps }) => [pattern, sideSteps])).toEqual([
      ['shuffle', 2],
      ['both', 1],
      ['stood', 0],
    ]);
  });
});

describe('on the picture', () => {
  test('a right angle is one, and its error grows as the lines get shorter', () => {
    const right = angleAt({ x: 0, y: -100 }, { x: 0, y: 0 }, { x: 100, y: 0 }, 4);
    expect(right.value).toBeCloseTo(90, 9);
    // Each line turns by atan(√2 · 4 / 100) = 3.24 degrees; two of them make √2 as much.
    expect(right.give).toBeCloseTo(4.58, 2);
    expect(angleAt({ x: 0, y: -10 }, { x: 0, y: 0 }, { x: 10, y: 0 }, 4).give).toBeGreaterThan(30);
  });

  test('a line that rises by its own run stands at 45 degrees, from either side', () => {
    expect(slopeOf({ x: 0, y: 100 }, { x: 100, y: 0 }, 4).value).toBeCloseTo(45, 9);
    expect(slopeOf({ x: 100, y: 100 }, { x: 0, y: 0 }, 4).value).toBeCloseTo(45, 9);
    expect(slopeOf({ x: 0, y: 0 }, { x: 100, y: 0 }, 4).value).toBeCloseTo(0, 9);
  });

  test('a height by a net of 0.914 m in the picture (ITF, Rules of Tennis: 0.914 m at its centre)', () => {
    const net = { from: { x: 10, y: 500 }, to: { x: 10, y: 317.2 }, metres: 0.914 };
    const tip = heightOf({ x: 200, y: 500 }, { x: 200, y: 100 }, net, 4);
    expect(tip.value).toBeCloseTo(2, 6);
    expect(tip.give).toBeGreaterThan(0.03);
  });

  test('only where a checkpoint names what can be measured', () => {
    expect(isMeasurable('The racket tip points at the sky.')).toBe(true);
    expect(isMeasurable('Eyes stay on the ball.')).toBe(false);
  });
});

describe('frames', () => {
  test('of any rate, in order, each once', () => {
    const frames = [0.1, 0, 0.05, 0.1005, 0.2].reduce(withFrame, [] as readonly number[]);
    expect(frames).toEqual([0, 0.05, 0.1, 0.2]);
    expect(frameBeforeS(frames, 0.1)).toBeCloseTo(0.05, 9);
    expect(frameBeforeS(frames, 0)).toBeCloseTo(1 / 15, 9);
  });
});

describe('felt and seen', () => {
  const said = (n: number, kind: 'held' | 'broke', text: string, origin: string | null): TouchEvent => ({
    id: String(n),
    blockId: 'b',
    playerId: 'p',
    kind,
    attempt: 1,
    value: null,
    ref: null,
    text,
    origin,
    atMs: n,
    monoMs: n,
    device: 'd',
  });

  test('the last word of each side counts; what the coach saw on court is neither', () => {
    const events = [
      said(1, 'held', 'Side-on', 'felt'),
      said(2, 'broke', 'Side-on', 'clip 1'),
      said(3, 'held', 'Quiet hands', 'felt'),
      said(4, 'held', 'Quiet hands', 'clip 1'),
      said(5, 'broke', 'Quiet hands', null),
      said(6, 'held', 'Eyes', 'felt'),
    ];
    const looked = lookedAt(events, ['Side-on', 'Quiet hands', 'Eyes']);
    expect(looked.map(({ felt, clip }) => [felt, clip])).toEqual([
      ['held', 'broke'],
      ['held', 'held'],
      ['held', null],
    ]);
    expect(agreement(looked)).toEqual({ same: 1, of: 2 });
  });
});
