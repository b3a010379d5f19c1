import fc from 'fast-check';
import { sampleCorrelation } from 'simple-statistics';
import { seededRandom } from '@/core/base/random';
import { phasesOf, type Phase } from '../phases';
import { apexS, beats } from './beat';
import { callSets, clipName, type CallSet } from '@/core/counting/call-sets';
import { dealCalls, longestRun, runIn } from './deal';
import { callSchedule } from './schedule';
import { seedOf } from '@/core/base/fingerprint';
import { callAt } from './call-at';
import { soundTimeline, type Cue, type SoundPlan } from './timeline';
import { trackCues } from './track-cues';

const counts = (calls: readonly number[], options: number) =>
  Array.from({ length: options }, (_, option) => calls.filter((call) => call === option).length);

describe('calls are dealt fairly', () => {
  test('equal shares, no long runs, and the same seed deals the same', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 8 }),
        fc.integer({ min: 1, max: 120 }),
        fc.integer(),
        (options, count, seed) => {
          const calls = dealCalls(options, count, seededRandom(seed));
          expect(calls).toHaveLength(count);
          const shares = counts(calls, options);
          expect(Math.max(...shares) - Math.min(...shares)).toBeLessThanOrEqual(1);
          expect(runIn(calls)).toBeLessThanOrEqual(longestRun(options));
          expect(dealCalls(options, count, seededRandom(seed))).toEqual(calls);
        },
      ),
      { numRuns: 400 },
    );
  });
  test('one call alone is simply repeated', () =>
    expect(dealCalls(1, 3, seededRandom(1))).toEqual([0, 0, 0]));
});

/** Plain shuffles of equal shares: what no pattern at all looks like. */
function shuffle(options: number, count: number, random: () => number): number[] {
  return Array.from({ length: count }, (_, index) => ({ call: index % options, at: random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ call }) => call);
}

/**
 * Wald and Wolfowitz's runs test (Annals of Mathematical Statistics 11, 1940; from memory) for two calls: how many
 * standard deviations the number of runs is from what chance gives.
 */
function runsZ(calls: readonly number[]): number {
  const [n1, n2] = counts(calls, 2) as [number, number];
  const n = n1 + n2;
  const runs = 1 + calls.filter((call, index) => index > 0 && call !== calls[index - 1]).length;
  const mean = (2 * n1 * n2) / n + 1;
  const variance = (2 * n1 * n2 * (2 * n1 * n2 - n)) / (n * n * (n - 1));
  return (runs - mean) / Math.sqrt(variance);
}

describe('no pattern a child can learn', () => {
  const rounds = 600;
  const each = <T>(make: (seed: number) => T): T[] =>
    Array.from({ length: rounds }, (_, seed) => make(seed + 1));
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

  test('the runs test itself: a strict alternation is far too many runs, two blocks far too few', () => {
    const alternating = Array.from({ length: 20 }, (_, index) => index % 2);
    const blocks = Array.from({ length: 20 }, (_, index) => (index < 10 ? 0 : 1));
    // By hand: 20 runs of 10 and 10, mean 11, variance 200 x 180 / (400 x 19) = 4.7368.
    expect(runsZ(alternating)).toBeCloseTo(9 / Math.sqrt(4.736842), 5);
    expect(runsZ(blocks)).toBeCloseTo(-9 / Math.sqrt(4.736842), 5);
  });

  test('runs: rejected at five per cent hardly more often than plain shuffles, and on average on chance', () => {
    const z = each((seed) => runsZ(dealCalls(2, 24, seededRandom(seed))));
    const plain = each((seed) => runsZ(shuffle(2, 24, seededRandom(seed))));
    const rejected = (values: readonly number[]) =>
      values.filter((value) => Math.abs(value) > 1.96).length / rounds;
    expect(rejected(z)).toBeLessThan(rejected(plain) + 0.05);
    // Leaving out runs of five and more makes a few more changes of side: under half a standard deviation.
    expect(Math.abs(mean(z) - mean(plain))).toBeLessThan(0.5);
  });

  test.each([1, 2, 3])(
    'serial correlation at lag %d (simple-statistics) is that of plain shuffles',
    (lag) => {
      const serial = (calls: readonly number[]) => sampleCorrelation(calls.slice(lag), calls.slice(0, -lag));
      const dealt = mean(each((seed) => serial(dealCalls(4, 48, seededRandom(seed)))));
      const plain = mean(each((seed) => serial(shuffle(4, 48, seededRandom(seed)))));
      expect(Math.abs(dealt - plain)).toBeLessThan(0.05);
    },
  );

  test('who remembers the last two calls guesses the next no better than one in four, give or take', () => {
    // Learns which call followed each pair in five hundred schedules, then guesses in a hundred others.
    const followers = new Map<string, number[]>();
    for (const calls of each((seed) => dealCalls(4, 48, seededRandom(seed))).slice(0, 500))
      for (let i = 2; i < calls.length; i++) {
        const key = `${calls[i - 2]} ${calls[i - 1]}`;
        const seen = followers.get(key) ?? [0, 0, 0, 0];
        seen[calls[i]!]! += 1;
        followers.set(key, seen);
      }
    let right = 0;
    let all = 0;
    for (const calls of each((seed) => dealCalls(4, 48, seededRandom(90_000 + seed))).slice(0, 100))
      for (let i = 2; i < calls.length; i++) {
        const seen = followers.get(`${calls[i - 2]} ${calls[i - 1]}`)!;
        right += seen.indexOf(Math.max(...seen)) === calls[i] ? 1 : 0;
        all += 1;
      }
    expect(right / all).toBeLessThan(0.29);
  });

  test('the first call is any of them', () => {
    const first = counts(
      each((seed) => dealCalls(4, 12, seededRandom(seed))[0]!),
      4,
    );
    // 600 throws of a fair four-sided die: 150 each, standard deviation 10.6; four of those.
    for (const share of first) expect(Math.abs(share - 150)).toBeLessThan(43);
  });
});

describe('when calls come', () => {
  const plan = fc.record({
    options: fc.integer({ min: 1, max: 6 }),
    forS: fc.integer({ min: 5, max: 90 }),
    everyS: fc.double({ min: 0.5, max: 8, noNaN: true }),
    moveS: fc.double({ min: 0, max: 6, noNaN: true }),
    pace: fc.constantFrom('even' as const, 'pressed' as const),
    leadS: fc.constantFrom(0, 0.9),
  });

  test('never sooner than the player can move, never too late to answer, and in order', () => {
    fc.assert(
      fc.property(plan, fc.integer(), (asked, seed) => {
        const calls = callSchedule(asked, seededRandom(seed));
        for (const [index, call] of calls.entries()) {
          expect(call.atS).toBeGreaterThanOrEqual(asked.leadS);
          expect(call.atS + asked.moveS).toBeLessThanOrEqual(asked.forS + 1e-6);
          if (index === 0) continue;
          const gap = call.atS - calls[index - 1]!.atS;
          expect(gap).toBeGreaterThanOrEqual(asked.moveS - 1e-9);
          if (asked.pace === 'even') expect(gap).toBeCloseTo(Math.max(asked.everyS, asked.moveS), 9);
          else expect(gap).toBeLessThanOrEqual(Math.max(asked.everyS, asked.moveS) + 1e-9);
        }
        const shares = counts(
          calls.map((call) => call.option),
          asked.options,
        );
        expect(Math.max(...shares) - Math.min(...shares)).toBeLessThanOrEqual(1);
      }),
      { numRuns: 150 },
    );
  });

  test('twenty seconds at a call every two: ten calls; pressed to one second: more, and ever quicker', () => {
    const asked = { options: 2, forS: 20, everyS: 2, moveS: 1, pace: 'even' as const };
    expect(callSchedule(asked, seededRandom(1)).map((call) => call.atS)).toEqual([
      0, 2, 4, 6, 8, 10, 12, 14, 16, 18,
    ]);
    const pressed = callSchedule({ ...asked, pace: 'pressed' }, seededRandom(1)).map((call) => call.atS);
    const gaps = pressed.slice(1).map((atS, index) => atS - pressed[index]!);
    expect(pressed.length).toBeGreaterThan(11);
    for (const [index, gap] of gaps.entries())
      if (index > 0) expect(gap).toBeLessThan(gaps[index - 1]! + 1e-9);
  });

  test('a long way from one place to another takes its own time', () => {
    const moveS = (from: number, to: number) => (from === to ? 1 : 4);
    const calls = callSchedule({ options: 2, forS: 120, everyS: 1.5, moveS, pace: 'even' }, seededRandom(7));
    for (const [index, call] of calls.entries())
      if (index > 0)
        expect(call.atS - calls[index - 1]!.atS).toBeGreaterThanOrEqual(
          moveS(calls[index - 1]!.option, call.option) - 1e-9,
        );
  });

  test.each([{ forS: 0 }, { everyS: 0 }, { everyS: Number.NaN }, { leadS: -1 }])('%j is refused', (wrong) => {
    const asked = { options: 2, forS: 20, everyS: 2, moveS: 1, pace: 'even' as const, ...wrong };
    expect(() => callSchedule(asked, seededRandom(1))).toThrow(RangeError);
  });
});

describe('the beat', () => {
  test('beat number n is at n periods, whatever the tempo: nothing adds up', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 260 }), (tempo) => {
        const made = beats(tempo, 3, 600, 4);
        expect(made).toHaveLength(tempo * 10);
        expect(made.at(-1)!.atS).toBeCloseTo(3 + ((tempo * 10 - 1) * 60) / tempo, 9);
        expect(made.filter((beat) => beat.accent)).toHaveLength(Math.ceil((tempo * 10) / 4));
      }),
    );
  });
  test.each([19, 261, Number.NaN])('a tempo of %p is refused', (tempo) => {
    expect(() => beats(tempo, 0, 10)).toThrow(RangeError);
  });
  test('the top of a toss of 1.77 m is 0.60 s after the hand: half the 1.2 s of five claps at five a second', () => {
    // Free fall, any textbook: t = √(2h/g). Five claps and one beat to get ready at five a second need 1.77 m.
    expect(apexS(1.77)).toBeCloseTo(0.6, 2);
    expect(apexS(2.76)).toBeCloseTo(0.75, 2);
  });
});

describe('the timeline of a block', () => {
  const phases = phasesOf({ kind: 'timed', rounds: 2, workS: 20, restS: 10 }, 40);
  const silent: SoundPlan = { tempoPerMin: null, accentEvery: 0, calls: null, seed: 1 };
  const called: SoundPlan = {
    ...silent,
    calls: { set: 'hit or catch', everyS: 5, moveS: 3, pace: 'even', leadS: 0.9 },
  };

  test('the clock alone: its signals, with words where a word helps', () => {
    const cues = soundTimeline(phases, silent);
    expect(cues.map((cue) => `${cue.atS} ${cue.tone} ${cue.clip ?? ''}`.trim())).toEqual([
      '0 tick',
      '1 tick',
      '2 tick',
      '3 go',
      '13 ten last-ten-seconds',
      '23 stop rest',
      '30 tick',
      '31 tick',
      '32 tick',
      '33 go',
      '43 ten last-ten-seconds',
      '53 end time',
    ]);
  });

  test('a beat sounds through the work and not through the rest', () => {
    const cues = soundTimeline(phases, { ...silent, tempoPerMin: 60, accentEvery: 2 });
    const beat = cues.filter((cue) => cue.tone === 'beat' || cue.tone === 'accent').map((cue) => cue.atS);
    expect(beat).toHaveLength(40);
    expect(beat.every((atS) => (atS >= 3 && atS < 23) || (atS >= 33 && atS < 53))).toBe(true);
  });

  test('a lob is fed before it is called at its top', () => {
    const cues = soundTimeline(phases, called);
    const feeds = cues.filter((cue) => cue.tone === 'feed');
    const calls = cues.filter((cue) => cue.call !== null);
    expect(feeds).toHaveLength(calls.length);
    for (const [index, call] of calls.entries()) expect(call.atS - feeds[index]!.atS).toBeCloseTo(0.9, 9);
    expect(calls.map((cue) => cue.call!.number)).toEqual(calls.map((_, index) => index + 1));
  });

  test('the call that stands is the last one, for as long as it can be answered', () => {
    const cues = soundTimeline(phases, called);
    const first = cues.find((cue) => cue.call !== null)!;
    expect(callAt(cues, first.atS - 0.01, 3)).toBeNull();
    expect(callAt(cues, first.atS + 2, 3)).toBe(first.call);
    expect(callAt(cues, first.atS + 3.5, 3)).toBeNull();
  });

  test('every device makes the same calls of a block, and two blocks differ', () => {
    expect(soundTimeline(phases, called)).toEqual(soundTimeline(phases, called));
    const words = (id: string) =>
      soundTimeline(phases, { ...called, seed: seedOf(id) })
        .flatMap((cue) => cue.call?.word ?? [])
        .join();
    const ids = Array.from({ length: 12 }, (_, index) => `01ARZ3NDEKTSV4RRFFQ69G5F${index}`);
    expect(new Set(ids.map(words)).size).toBeGreaterThan(6);
  });

  test('as words to read: one at a time, from the first moment to the last', () => {
    const cues = soundTimeline(phases, called);
    const shown = trackCues(phases, cues);
    expect(shown[0]).toMatchObject({ fromS: 0, text: 'Get ready' });
    for (const [index, words] of shown.entries()) {
      expect(words.untilS).toBeGreaterThan(words.fromS);
      if (index > 0) expect(words.fromS).toBeGreaterThanOrEqual(shown[index - 1]!.untilS - 1e-9);
    }
    expect(shown.at(-1)!.untilS).toBeCloseTo(53, 9);
    expect(shown.filter((words) => words.text === 'hit' || words.text === 'catch')).toHaveLength(
      cues.filter((cue) => cue.call).length,
    );
  });
});

test('every call of every set has its own word, sign and clip name', () => {
  for (const [name, calls] of Object.entries(callSets) as [CallSet, (typeof callSets)[CallSet]][]) {
    expect([name, new Set(calls.map((call) => call.word)).size]).toEqual([name, calls.length]);
    for (const call of calls) {
      expect(clipName(call.word)).toMatch(/^[a-z-]+$/);
      expect(call.sign).not.toBe('');
    }
  }
});

describe('a feeder machine', () => {
  const work: Phase[] = [{ kind: 'work', seconds: 20, round: 1 } as Phase];
  const feeds = { intervalS: 4, apexS: 0.6, bounceS: 1.3 };
  const hitOrCatch = { set: 'hit or catch', everyS: 5, moveS: 3, pace: 'even', leadS: 0.5 } as const;
  const plan = { tempoPerMin: null, accentEvery: 0, seed: 3 };
  const fed = (cues: readonly Cue[]) => cues.filter(({ tone }) => tone === 'feed').map(({ atS }) => atS);
  const called = (cues: readonly Cue[]) =>
    cues.flatMap(({ atS, call: one }) => (one ? [[atS, one.word]] : []));

  test('calls about a fed ball follow the machine: at the top of every one of its balls', () => {
    const cues = soundTimeline(work, { ...plan, calls: hitOrCatch, feeds });
    expect(fed(cues)).toEqual([0, 4, 8, 12, 16]);
    expect(called(cues).map(([atS]) => atS)).toEqual([0.6, 4.6, 8.6, 12.6, 16.6]);
    for (const [, word] of called(cues)) expect(['hit', 'catch']).toContain(word);
    expect(soundTimeline(work, { ...plan, calls: hitOrCatch, feeds })).toEqual(cues);
  });
  test('without calls it says ready when the ball bounces, and at its top when it does not', () => {
    const cues = soundTimeline(work, { ...plan, calls: null, feeds });
    expect(called(cues)).toEqual([1.3, 5.3, 9.3, 13.3, 17.3].map((atS) => [atS, 'ready']));
    const volley = soundTimeline(work, { ...plan, calls: null, feeds: { ...feeds, bounceS: null } });
    expect(called(volley)[0]).toEqual([0.6, 'ready']);
  });
  test('calls of their own keep their own time beside the feeds', () => {
    const sides = { ...hitOrCatch, set: 'sides', leadS: 0 } as const;
    const alone = soundTimeline(work, { ...plan, calls: sides });
    const beside = soundTimeline(work, { ...plan, calls: sides, feeds });
    expect(called(beside)).toEqual(called(alone));
    expect(fed(beside)).toHaveLength(5);
  });
  test('the last ball still gets to the player before the work ends', () => {
    const short = soundTimeline([{ ...work[0]!, seconds: 17 }], { ...plan, calls: null, feeds });
    expect(fed(short)).toEqual([0, 4, 8, 12]);
  });
});
