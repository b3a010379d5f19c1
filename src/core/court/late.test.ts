import fc from 'fast-check';
import { lateAfterS } from './late-after';
import { bookingEndMs, overrunS, shortShare, trimOffers, type BlockToCome } from './late';

const block = (
  blockId: string,
  seconds: number,
  shortS = seconds * shortShare,
  keep = false,
): BlockToCome => ({
  blockId,
  seconds,
  shortS,
  keep,
});

describe('ending on time', () => {
  test('nothing is offered while the session fits, or is hardly over', () => {
    expect(trimOffers(60, [block('a', 300)], 400)).toEqual([]);
    expect(trimOffers(60, [block('a', 300)], 360 - lateAfterS)).toEqual([]);
  });

  test('worked by hand: 2 minutes over, three blocks of 5, 6 and 3 minutes', () => {
    // Left: 12 min. To come: 14 min. Shortening b saves 6 x 0.4 = 2.4 min, which is enough.
    const blocks = [block('a', 300), block('b', 360), block('c', 180)];
    expect(overrunS(0, blocks, 720)).toBe(120);
    const [shorten, out, ...more] = trimOffers(0, blocks, 720);
    expect(shorten).toEqual({ shorten: ['b'], leaveOut: [], savesS: 144, overS: 0 });
    // c is the cheapest block that is enough.
    expect(out).toEqual({ shorten: [], leaveOut: ['c'], savesS: 180, overS: 0 });
    expect(more).toEqual([]);
  });

  test('where shortening is not enough, one goes and the rest is shortened', () => {
    const blocks = [block('a', 300), block('b', 360), block('c', 180)];
    // 8 min over; shortening all three saves 5.6 min. b goes (6 min), and a shortened saves the other 2.
    const offers = trimOffers(0, blocks, 360);
    expect(offers).toEqual([
      { shorten: ['b', 'a', 'c'], leaveOut: [], savesS: 336, overS: 144 },
      { shorten: [], leaveOut: ['b', 'a'], savesS: 660, overS: 0 },
      { shorten: ['a'], leaveOut: ['b'], savesS: 480, overS: 0 },
    ]);
  });

  test('warm-ups and the retest stay whole', () => {
    const offers = trimOffers(0, [block('warm', 600, 360, true), block('b', 120)], 400);
    for (const offer of offers) expect([...offer.shorten, ...offer.leaveOut]).toEqual(['b']);
    expect(trimOffers(0, [block('warm', 600, 360, true)], 100)).toEqual([]);
  });

  const anyBlocks = fc
    .array(fc.record({ seconds: fc.integer({ min: 30, max: 900 }), keep: fc.boolean() }), { maxLength: 8 })
    .map((made) =>
      made.map(({ seconds, keep }, index) => block(`b${index}`, seconds, seconds * shortShare, keep)),
    );

  test('every offer saves what it says, touches only what it may, and says truly whether it ends on time', () => {
    fc.assert(
      fc.property(
        anyBlocks,
        fc.integer({ min: 0, max: 300 }),
        fc.integer({ min: -300, max: 3600 }),
        (blocks, running, left) => {
          const over = overrunS(running, blocks, left);
          const offers = trimOffers(running, blocks, left);
          if (over <= lateAfterS) expect(offers).toEqual([]);
          for (const { shorten, leaveOut, savesS, overS } of offers) {
            const named = [...shorten, ...leaveOut].map((id) => blocks.find((one) => one.blockId === id)!);
            expect(new Set(named).size).toBe(named.length);
            expect(named.some((one) => one.keep)).toBe(false);
            const after = blocks.map((one) =>
              leaveOut.includes(one.blockId)
                ? { ...one, seconds: 0 }
                : shorten.includes(one.blockId)
                  ? { ...one, seconds: one.shortS }
                  : one,
            );
            const overAfter = overrunS(running, after, left);
            expect(over - overAfter).toBeCloseTo(savesS, 6);
            expect(overS).toBeCloseTo(Math.max(0, overAfter), 6);
          }
        },
      ),
      { numRuns: 500 },
    );
  });

  test('when leaving out all that may be left out would be enough, some offer ends on time', () => {
    fc.assert(
      fc.property(anyBlocks, fc.integer({ min: 60, max: 3600 }), (blocks, left) => {
        const kept = blocks.filter((one) => one.keep);
        const offers = trimOffers(0, blocks, left);
        if (overrunS(0, blocks, left) <= lateAfterS || overrunS(0, kept, left) > 0) return;
        expect(offers.some((offer) => offer.overS === 0)).toBe(true);
      }),
      { numRuns: 500 },
    );
  });
});

describe('when the booking ends', () => {
  const half5 = Date.UTC(2026, 10, 26, 16, 30);
  const min = 60_000;
  test.each([
    ['begun on time', half5, half5 + 60 * min],
    ['begun twelve minutes late: the end stays', half5 + 12 * min, half5 + 60 * min],
    ['begun half an hour early: the end stays', half5 - 30 * min, half5 + 60 * min],
    ['begun on another evening: an hour from then', half5 + 1440 * min, half5 + 1500 * min],
    ['begun when it should be over: an hour from then', half5 + 60 * min, half5 + 120 * min],
  ])('%s', (_when, startedMs, endMs) => {
    expect(bookingEndMs(half5, 60, startedMs)).toBe(endMs);
  });
});
