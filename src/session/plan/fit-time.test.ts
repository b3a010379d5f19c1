import fc from 'fast-check';
import { plainBook } from '@/drills';
import { atShare, fitToBooking, secondsOf, toLength, type TimeSetting } from './fit-time';
import { newBlock } from './place-block';
import { type PlanBlock, type PlanPlayer } from '../base/plan';
import { timePlan } from './time-plan';

const players: PlanPlayer[] = [
  { id: 'a', age: 9 },
  { id: 'b', age: 11 },
];
const setting: TimeSetting = { book: plainBook, players, records: [] };
const block = (drillId: string, id = drillId): PlanBlock =>
  newBlock(plainBook, drillId, players, () => undefined, id);
const totalS = (blocks: readonly PlanBlock[]) => timePlan(plainBook, blocks, players, [], 60).totalS;
/** One of each phase but the retest and the game. */
const whole = (['loosen', 'feet', 'touch', 'stroke'] as const).map((family) =>
  block(plainBook.drills.find((drill) => drill.family === family)!.id),
);

describe('a share of a block', () => {
  test('is so many times its rounds, sets, shots or cap; one time is the block itself', () => {
    for (const drill of plainBook.drills) {
      const usual = block(drill.id);
      expect(atShare(usual, 1)).toBe(usual);
      const [less, more] = [atShare(usual, 0.6), atShare(usual, 2)].map((one) =>
        secondsOf(setting, one, false),
      );
      const now = secondsOf(setting, usual, false);
      expect(less).toBeLessThanOrEqual(now + 1e-9);
      expect(more).toBeGreaterThanOrEqual(now - 1e-9);
    }
  });
  test('by hand: three sets doubled are six, and each child does them', () => {
    const reps = plainBook.drills.find((drill) => drill.steps[0]!.doses['7-9'].kind === 'reps')!;
    const usual = block(reps.id);
    const { dose } = atShare(usual, 2);
    if (usual.dose.kind !== 'reps' || dose.kind !== 'reps') throw new Error('no reps');
    expect(dose).toEqual({ ...usual.dose, sets: 2 * usual.dose.sets });
  });
});

describe('a length for one block', () => {
  const timed = plainBook.drills.find((drill) => drill.steps[0]!.doses['10-12'].kind === 'timed')!;
  test('eight minutes are as many rounds as come nearest to them', () => {
    const long = toLength(setting, block(timed.id), 480, false);
    const { dose } = long;
    if (dose.kind !== 'timed') throw new Error('no timed dose');
    const off = Math.abs(secondsOf(setting, long, false) - 480);
    for (const rounds of [dose.rounds - 1, dose.rounds + 1])
      expect(
        Math.abs(secondsOf(setting, { ...long, dose: { ...dose, rounds } }, false) - 480),
      ).toBeGreaterThanOrEqual(off);
    // Worked by hand: one more round is its work and its rest.
    const next = secondsOf(setting, { ...long, dose: { ...dose, rounds: dose.rounds + 1 } }, false);
    expect(next - secondsOf(setting, long, false)).toBeCloseTo(dose.workS + dose.restS, 6);
  });

  test('the rest of the block stays as it was', () => {
    const before = block(timed.id);
    const after = toLength(setting, before, 480, false);
    expect({ ...after, dose: before.dose }).toEqual(before);
  });

  test('a row that is soon reached gets longer, each child’s alike', () => {
    const row = plainBook.drills.find((drill) => drill.steps[0]!.doses['10-12'].kind === 'row')!;
    const before = block(row.id);
    const sure = {
      ...setting,
      records: players.map(({ id }) => [id, row.id, row.steps[0]!.id, 2000, 4] as const),
    };
    const after = toLength(sure, before, 2400, false);
    expect(secondsOf(sure, after, false)).toBeGreaterThan(secondsOf(sure, before, false));
    if (before.dose.kind !== 'row' || after.dose.kind !== 'row') throw new Error('no row');
    const grew = after.dose.target / before.dose.target;
    for (const own of before.own)
      expect(after.own.find((one) => one.playerId === own.playerId)!.amount).toBe(
        Math.min(500, Math.round(own.amount! * grew)),
      );
  });

  test('what is asked for beyond any size is the nearest there is, and the same again changes nothing', () => {
    const most = toLength(setting, block(timed.id), 100_000, false);
    expect(most.dose).toMatchObject({ rounds: 40 });
    expect(toLength(setting, most, 100_000, false)).toBe(most);
  });

  test('a block everybody sits out has no length to change', () => {
    const one = block(timed.id);
    const out = { ...one, own: one.own.map((own) => ({ ...own, out: true })) };
    expect(toLength(setting, out, 480, false)).toBe(out);
  });
});

describe('a session brought to its booking', () => {
  test.each(['by phase', 'alike'] as const)('what is too long is squeezed into it, %s', (how) => {
    const long = [...whole, ...whole.map((one) => ({ ...one, id: `${one.id} 2` }))];
    const bookedS = totalS(long) * 0.8;
    const fit = fitToBooking(setting, long, bookedS, how);
    expect(fit.totalS).toBeCloseTo(totalS(fit.blocks), 6);
    expect(fit.totalS).toBeLessThanOrEqual(bookedS + 0.5);
    expect(fit.changes.length).toBeGreaterThan(0);
    for (const change of fit.changes) expect(change.after.totalS).toBeLessThan(change.before.totalS);
  });

  test.each(['by phase', 'alike'] as const)('room is filled as far as sizes go, %s', (how) => {
    const bookedS = totalS(whole) * 1.5;
    const fit = fitToBooking(setting, whole, bookedS, how);
    expect(fit.totalS).toBeLessThanOrEqual(bookedS + 0.5);
    // No block could take one size more: what is left is less than the smallest step of any.
    expect(bookedS - fit.totalS).toBeLessThan(0.25 * bookedS);
    for (const change of fit.changes) expect(change.after.totalS).toBeGreaterThan(change.before.totalS);
  });

  test('by phase, the phase that lacks most gets most', () => {
    const two = whole.slice(0, 2);
    const fit = fitToBooking(setting, two, totalS(two) * 2.4, 'by phase');
    const grew = (id: string) => {
      const change = fit.changes.find((one) => one.blockId === id);
      return change ? change.after.totalS - change.before.totalS : 0;
    };
    // Loosening has 12 of 100 by the suggested shares, feet and hands 25.
    expect(grew(two[1]!.id)).toBeGreaterThan(grew(two[0]!.id));
    expect(fit.missing).toEqual(['Racket and ball', 'Strokes', 'Game']);
  });

  test('blocks that were held stay as they are', () => {
    const held = whole[1]!;
    const fit = fitToBooking(setting, whole, totalS(whole) * 2, 'alike', new Set([held.id]));
    expect(fit.blocks[1]).toBe(held);
  });

  test('whatever the booking, ids and order stay, and nothing runs over that could give way', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 120 }),
        fc.constantFrom('by phase' as const, 'alike' as const),
        fc.subarray(whole, { minLength: 1 }),
        (minutes, how, blocks) => {
          const fit = fitToBooking(setting, blocks, minutes * 60, how);
          expect(fit.blocks.map(({ id }) => id)).toEqual(blocks.map(({ id }) => id));
          const before = totalS(blocks);
          if (before <= minutes * 60) expect(fit.totalS).toBeLessThanOrEqual(minutes * 60 + 0.5);
          else expect(fit.totalS).toBeLessThanOrEqual(before);
        },
      ),
      { numRuns: 40 },
    );
  });

  test('a drill that is not known any more is left alone', () => {
    const lost = { ...whole[0]!, id: 'lost', drillId: 'no-such-drill' };
    const fit = fitToBooking(setting, [lost, ...whole], totalS(whole) * 1.3, 'by phase');
    expect(fit.blocks[0]).toBe(lost);
  });
});
