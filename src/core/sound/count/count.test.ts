import { seededRandom } from '../../base/random';
import { madeCatches, madeClaps, madeEven, madeRows, madeTurns, madeWall, thingsOf } from '../synth/drills';
import { heardOf, taughtIn } from '../testing/heard';
import { heardCatches, type CatchGrade } from './catches';
import { heardClaps } from './claps';
import { evennessCm } from './evenness';
import { beatOf, heardRows, type RowsAsked } from './rows';
import { heardTurns } from './turns';

const row: Omit<RowsAsked, 'learnt' | 'echoes'> = {
  counts: ['strings'],
  ends: ['floor'],
  periodS: { least: 0.22, most: 1.2 },
};

describe('by measure', () => {
  const things = thingsOf(31);
  const taught = taughtIn(things, [
    ['strings', 0],
    ['floor', -3],
  ]);
  const made = madeRows(things, [7, 12], 0.3);
  const impacts = heardOf(made);

  test('rows are ended by the floor; the ball is fetched and the next begins', () => {
    const { rows, all, periodS } = heardRows(impacts, { ...taught, ...row, untilS: made.seconds });
    expect(rows.map(({ howMany }) => howMany.count)).toEqual([7, 12]);
    expect(rows[0]!.endedBy).toBe('floor');
    expect(all).toMatchObject({ count: 19 });
    expect(periodS).toBeCloseTo(made.truth.periodS, 1);
    for (const { touches } of rows) for (const { sure } of touches) expect(sure).toBeGreaterThan(0.5);
  });

  test('what was left out says why', () => {
    const { leftOut } = heardRows(impacts, { ...taught, ...row });
    const steps = made.blows.filter(({ kind }) => kind === 'step');
    expect(steps.length).toBeGreaterThan(0);
    for (const { atS } of leftOut.filter(({ why }) => why === 'unlike'))
      expect(made.blows.find((one) => Math.abs(one.atS - atS) < 0.02)?.kind).not.toBe('strings');
  });

  test('a signal of this device is not counted, and says so', () => {
    const fourth = made.truth.touches[7 + 3]!;
    const deaf = [{ fromS: fourth - 0.05, toS: fourth + 0.05 }];
    const { rows, leftOut } = heardRows(impacts, { ...taught, ...row, deaf });
    expect(leftOut).toContainEqual({ atS: expect.closeTo(fourth, 2) as number, why: 'own signal' });
    // The beat says that one was there all the same.
    expect(rows[1]!.touches[3]).toMatchObject({ heard: false });
  });

  test('nothing heard is nothing counted', () => {
    expect(heardRows([], { ...taught, ...row })).toMatchObject({ rows: [], all: { count: 0, to: 0 } });
  });

  test('a rally with the wall by what hits the wall, volleys included', () => {
    const things = thingsOf(33);
    const taught = taughtIn(things, [
      ['wall', -2],
      ['strings', 3],
      ['floor', -5],
    ]);
    const made = madeWall(things, 9);
    const { cycleS } = made.truth;
    const heard = heardRows(heardOf(made), {
      ...taught,
      counts: ['wall'],
      ends: [],
      varies: 0.28,
      periodS: { least: cycleS / 2, most: 1.6 * cycleS },
    });
    expect(heard.all.count).toBe(9);
  });

  test('claps between toss and catch, toss by toss', () => {
    const things = thingsOf(35);
    const taught = taughtIn(things, [
      ['clap', 0],
      ['catch', -4],
    ]);
    const made = madeClaps(things, [1, 3, 5, 2]);
    const { tosses } = heardClaps(heardOf(made), { ...taught, untilS: made.seconds });
    expect(tosses.map(({ howMany }) => howMany.count)).toEqual([1, 3, 5, 2]);
    expect(tosses.every(({ caught }) => caught)).toBe(true);
  });

  test('catches in three grades, against the same child’s plain bounce', () => {
    const things = thingsOf(39);
    const taught = taughtIn(things, [['strings', 0]]);
    const wanted: CatchGrade[] = ['silent', 'bounced', 'buzz', 'silent', 'buzz', 'bounced'];
    const made = madeCatches(things, wanted);
    const { catches } = heardCatches(heardOf(made), taught, 'strings');
    expect(catches.map(({ grade }) => grade)).toEqual(wanted);
  });

  test('how even the heights were, to a centimetre', () => {
    const things = thingsOf(39);
    const taught = taughtIn(things, [['strings', 0]]);
    const made = madeEven(things, 16, 0.35, 0.03);
    const { rows } = heardRows(heardOf(made), { ...taught, ...row });
    expect(Math.abs(evennessCm(rows)! - made.truth.spreadCm)).toBeLessThan(0.3);
  });

  test('two sides in turn, and the same side twice', () => {
    const things = thingsOf(45);
    const taught = taughtIn(things, [
      ['table', 0, 'forehand'],
      ['table', 0, 'backhand'],
    ]);
    const made = madeTurns(things, 16, 2);
    const heard = heardTurns(heardOf(made), {
      ...taught,
      counts: ['forehand', 'backhand'],
      ends: [],
      periodS: { least: 0.25, most: 1.2 },
    });
    expect(heard.all.count).toBe(16);
    expect(heard.sides).toEqual(made.truth.sides);
    expect([heard.inTurn, heard.twice]).toEqual([13, 2]);
  });
});

test('the beat of a thousand bounces is that of two hundred of them', () => {
  const bounces = (n: number) => {
    const random = seededRandom(4);
    let atS = 0;
    return Array.from({ length: n }, () => ({ atS: (atS += 0.45 + 0.02 * random()), sure: 0.95 }));
  };
  const periodS = { least: 0.2, most: 1.3 };
  const [few, many] = [beatOf(bounces(200), periodS)!, beatOf(bounces(1000), periodS)!];
  expect(many).toBeCloseTo(few, 2);
  expect(many).toBeCloseTo(0.46, 2);
});
