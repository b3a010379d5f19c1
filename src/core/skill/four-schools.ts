import { measures, numberInWords, reaches, resultInWords } from '../counting/measure';
import { counted, percent } from '../base/words';
import {
  gateTarget,
  habitTarget,
  isTooShort,
  ownBestTarget,
  type Judged,
  type NextTarget,
  type School,
  type Verdict,
} from './next-target';

/** What the level says of a mark, for the schools that ask it. */
export interface Odds {
  /** Chance to reach the mark on a day, with the range the level leaves (80 %). */
  readonly chance: number;
  readonly low: number;
  readonly high: number;
  /** Attempts a day the chance is of. */
  readonly attempts: number;
  /** The result that is reached on about seven days in ten: the right difficulty; null where the dose sets it. */
  readonly fitting: number | null;
  /** Chance to reach half the mark. */
  readonly halfway: number;
  /** Days with counts on this step. */
  readonly days: number;
}

/** What was done against the clock. */
export interface Clocked {
  readonly boxS: number;
  readonly result: number | null;
  readonly wanted: number;
}

/** A step up that does not hold. */
export interface FailedUp {
  /** Days since, with counts. */
  readonly days: number;
  /** Chance of days as poor as these, were the player as good as those who come to this step. */
  readonly noise: number;
}

export interface Case extends Judged {
  /** True on the first step of a ladder: there is nowhere back. */
  readonly bottom: boolean;
  readonly odds: Odds | null;
  readonly clock: Clocked | null;
  readonly failed: FailedUp | null;
  /** The band the chance of success is to lie in. */
  readonly band: readonly [low: number, high: number];
}

export interface SchoolVerdict extends NextTarget {
  /** What would change its mind, in one sentence. */
  readonly wouldChange: string;
}

/** Chance of success that teaches most. The band is ours; the idea is the challenge point (Guadagnoli and Lee 2004). */
export const usualBand = [0.6, 0.8] as const;
/** A step up that fails is said from so many days on, and where chance alone so seldom brings it. Ours. */
export const [leastFailedDays, seldom] = [2, 0.03];

const row = (one: Case): SchoolVerdict => {
  const { measure, gate, reachedDays, top } = one;
  const said = gateTarget(one);
  const mark = resultInWords(measure, gate.result);
  const missing = gate.days - reachedDays;
  return {
    ...said,
    wouldChange:
      said.verdict === 'up'
        ? 'A form that breaks, which no count shows.'
        : top && missing <= 0
          ? 'Another ladder.'
          : isTooShort(one)
            ? `A dose that can show ${mark}.`
            : `${mark} on ${counted(missing, 'more day')}.`,
  };
};

const best = (one: Case): SchoolVerdict => {
  const { measure, gate, top } = one;
  const said = ownBestTarget(one);
  return {
    ...said,
    wouldChange:
      said.verdict === 'up'
        ? 'A form that breaks, which no count shows.'
        : top
          ? 'Another ladder.'
          : `A best of ${resultInWords(measure, gate.result)}.`,
  };
};

function clock(one: Case): SchoolVerdict {
  const { measure, gate, top, clock: timed } = one;
  const base = { school: 'clock', verdict: 'hold', target: gate.result } as const;
  if (!timed)
    return {
      ...base,
      reason: 'This step is not done against the clock.',
      wouldChange: 'A dose in a time box.',
    };
  const { lowerIsBetter } = measures[measure];
  const box = lowerIsBetter || measure === 'laps' ? '' : ` in ${timed.boxS} s`;
  const words = (n: number) =>
    measure === 'row' ? counted(n, 'touch', 'touches') : lowerIsBetter ? `${n} s` : numberInWords(measure, n);
  if (timed.result === null)
    return { ...base, reason: 'Nothing timed yet.', wouldChange: `${words(timed.wanted)}${box}.` };
  // The last day's pace of a row; else the best there was.
  const when = measure === 'row' ? ' at the last pace' : ' at best';
  const soFar = `${words(timed.result)}${box}${when}; wanted ${words(timed.wanted)}`;
  if (reaches(measure, timed.result, timed.wanted) && !top)
    return {
      ...base,
      verdict: 'up',
      reason: `${soFar}: up a step.`,
      wouldChange: 'A form that breaks, which no count shows.',
    };
  return {
    ...base,
    reason: top ? `${soFar}; this is the top step.` : `${soFar}.`,
    wouldChange: top ? 'Another ladder.' : `${words(timed.wanted)}${box}, once.`,
  };
}

/** Fewer days than this say little of a chance. Ours. */
const leastDays = 3;

function sweet(one: Case): SchoolVerdict {
  const { measure, gate, top, bottom, odds, band } = one;
  const [low, high] = band;
  const base = { school: 'sweet', verdict: 'hold', target: gate.result } as const;
  const mark = resultInWords(measure, gate.result);
  if (!odds || odds.days < leastDays)
    return {
      ...base,
      reason: `Little data: ${counted(odds?.days ?? 0, 'day')} on this step.`,
      wouldChange: `${counted(leastDays - (odds?.days ?? 0), 'more day')} of counts.`,
    };
  const { chance, fitting, halfway } = odds;
  const said = `${mark} would come on ${percent(chance)} of days (${percent(odds.low)} to ${percent(odds.high)})`;
  const change = `Up from ${percent(high)}, back where even half the mark is under ${percent(low)}.`;
  if (chance > high && odds.low > low)
    return top
      ? { ...base, reason: `${said}: easy, and this is the top step.`, wouldChange: 'Another ladder.' }
      : { ...base, verdict: 'up', reason: `${said}: too easy to teach much.`, wouldChange: change };
  if (chance >= low) return { ...base, reason: `${said}: the right difficulty.`, wouldChange: change };
  if (halfway < low && odds.high < high && !bottom)
    return {
      ...base,
      verdict: 'back',
      reason: `${said}, and half of it on ${percent(halfway)}: too hard to teach much.`,
      wouldChange: change,
    };
  return fitting === null
    ? { ...base, reason: `${said}: hard still.`, wouldChange: change }
    : {
        ...base,
        target: fitting,
        reason: `${said}; ${resultInWords(measure, fitting)} is the right difficulty now.`,
        wouldChange: change,
      };
}

/** The old habit comes back with the ball: a step up that fails is answered by one step back, whatever the school. */
function afterStepUp(one: Case, verdict: SchoolVerdict): SchoolVerdict {
  const { failed, bottom } = one;
  if (!failed || bottom || failed.days < leastFailedDays || failed.noise > seldom || verdict.verdict === 'up')
    return verdict;
  return {
    ...verdict,
    verdict: 'back',
    reason: `Since the step up ${counted(failed.days, 'day')} far below what this step usually begins with; chance alone brings that in ${percent(failed.noise)}: one step back, then again.`,
    wouldChange: 'One day like those before the step up.',
  };
}

export interface FourSchools {
  readonly byDefault: SchoolVerdict;
  /** All four, the proposing one among them. */
  readonly all: readonly SchoolVerdict[];
  /** Why they differ, in one sentence; null where they agree. */
  readonly differ: string | null;
}

const short: Readonly<Record<School, string>> = {
  row: 'In a row',
  clock: 'The clock',
  best: 'Own best',
  sweet: 'Sweet spot',
};

/**
 * All four schools on one log, and the one that proposes.
 * @param chosen the coach's school; null for the drill's own: in a row for rows, own best plus one for the rest
 */
export function fourSchools(one: Case, chosen: School | null): FourSchools {
  const all = one.habit
    ? (['row', 'clock', 'best', 'sweet'] as const).map((school) => ({
        ...habitTarget(one, school),
        wouldChange: 'The coach’s eye.',
      }))
    : [row(one), clock(one), best(one), sweet(one)].map((verdict) => afterStepUp(one, verdict));
  const proposing = chosen ?? (one.measure === 'row' ? 'row' : 'best');
  const byDefault = all.find(({ school }) => school === proposing)!;
  const others = all.filter(({ verdict }) => verdict !== byDefault.verdict);
  // Whoever says something else than to stay has the reason that is worth a sentence.
  const loudest =
    others.find(({ verdict }) => verdict !== 'hold') ??
    others.find(({ school }) => school !== 'clock') ??
    others[0];
  const differ = loudest
    ? `${short[loudest.school]} says ${verdictWords[loudest.verdict]}: ${loudest.reason}`
    : null;
  return { byDefault, all, differ };
}

const verdictWords: Readonly<Record<Verdict, string>> = { up: 'up', hold: 'stay', back: 'back' };
