/** Something heard that may be what is counted. */
export interface Candidate {
  readonly atS: number;
  /** How sure it is by its sound alone, 0 to 1. */
  readonly sure: number;
}

/** How what is counted follows itself. */
export interface Rhythm {
  /** Seconds from one to the next. */
  readonly periodS: number;
  /** How much it varies, as a share: the spread of its logarithm. */
  readonly varies: number;
  /** The share that is not heard though it was there. */
  readonly missed: number;
  /** A row ends by itself with this chance at each: one over how many there usually are. */
  readonly over: number;
  /** Moments after which the row cannot go on: the floor. */
  readonly ends: readonly Candidate[];
}

/** What the rhythm makes of the candidates. */
export interface Followed {
  /** Of each candidate, how sure it is by sound and rhythm together, 0 to 1. */
  readonly sure: readonly number[];
  /** The likeliest: those that are counted, by their number, row by row. */
  readonly rows: readonly (readonly Step[])[];
}

/** One that is counted, or one that must have been there and was not heard. */
export interface Step {
  readonly atS: number;
  /** The candidate's number; null where nothing was heard. */
  readonly at: number | null;
}

/* All ours. */
/** Things that sound like it and are not come so often, a second. */
const strangersPerS = 0.4;
/** Up to so many in a row go unheard. */
const mostUnheard = 2;
/** A new row begins some three times this after the last one, seconds, and hardly ever at once: the ball is fetched. */
const fetchS = 1.3;
/** After so many periods without one a row is over whatever else is heard. */
export const overPeriods = 2.6;

const odds = (sure: number): number => {
  const clipped = Math.min(0.999, Math.max(0.001, sure));
  return Math.log(clipped / (1 - clipped));
};

/** How likely a gap is between two of one row, against strangers; per number of those unheard between them. */
function followLogs(gapS: number, { periodS, varies, missed }: Rhythm): { log: number; unheard: number } {
  let best = { log: -Infinity, unheard: 0 };
  for (let unheard = 0; unheard <= mostUnheard; unheard++) {
    const spread = varies / Math.sqrt(unheard + 1);
    const off = Math.log(gapS / ((unheard + 1) * periodS)) / spread;
    const log =
      -0.5 * off * off -
      Math.log(gapS * spread * Math.sqrt(2 * Math.PI) * strangersPerS) +
      unheard * Math.log(missed);
    if (log > best.log) best = { log, unheard };
  }
  return best;
}

/** What lies between two candidates: a row that goes on, or the end of one and the beginning of another. */
class Gaps {
  /** How sure a row was ended up to each candidate, as the log of the chance that none did. */
  readonly #goesOn: Float64Array;

  constructor(
    readonly candidates: readonly Candidate[],
    readonly rhythm: Rhythm,
  ) {
    this.#goesOn = new Float64Array(candidates.length);
    let [next, log] = [0, 0];
    for (const [at, { atS }] of candidates.entries()) {
      for (; next < rhythm.ends.length && rhythm.ends[next]!.atS <= atS; next++)
        log += Math.log(1 - Math.min(0.995, rhythm.ends[next]!.sure));
      this.#goesOn[at] = log;
    }
  }

  between(from: number, to: number): { log: number; unheard: number; goesOn: boolean } {
    const gapS = this.candidates[to]!.atS - this.candidates[from]!.atS;
    const ended = this.#goesOn[to]! - this.#goesOn[from]!;
    const over =
      Math.log((this.rhythm.over * gapS * gapS) / (2 * fetchS ** 3 * strangersPerS)) -
      gapS / fetchS +
      Math.log1p(-Math.exp(ended) * 0.9);
    if (gapS > overPeriods * this.rhythm.periodS) return { log: over, unheard: 0, goesOn: false };
    const follow = followLogs(gapS, this.rhythm);
    const on = follow.log + ended;
    return on >= over
      ? { log: on, unheard: follow.unheard, goesOn: true }
      : { log: over, unheard: 0, goesOn: false };
  }
}

/** Rows are looked at over so many candidates back: more lie between two of a row only where nobody could count. */
const mostBack = 40;

/**
 * Which of what was heard are counted, by sound and rhythm together: the likeliest choice (Viterbi 1967), and for each
 * how sure it is over all choices (forwards and backwards, Baum 1970). A doubtful one in the beat is counted, a clear one
 * out of it is doubted, and where one must have been there unheard it stands as that.
 */
export function follow(candidates: readonly Candidate[], rhythm: Rhythm): Followed {
  const n = candidates.length;
  const gaps = new Gaps(candidates, rhythm);
  const own = candidates.map(({ sure }) => odds(sure));
  const best = new Float64Array(n);
  const before = new Int32Array(n).fill(-1);
  const forward = new Float64Array(n);
  for (let at = 0; at < n; at++) {
    best[at] = own[at]!;
    let sum = own[at]!;
    for (let from = Math.max(0, at - mostBack); from < at; from++) {
      const { log } = gaps.between(from, at);
      const through = best[from]! + log + own[at]!;
      if (through > best[at]!) [best[at], before[at]] = [through, from];
      sum = addLogs(sum, forward[from]! + log + own[at]!);
    }
    forward[at] = sum;
  }
  const backward = new Float64Array(n);
  for (let at = n - 1; at >= 0; at--) {
    let sum = 0;
    for (let to = at + 1; to < Math.min(n, at + 1 + mostBack); to++)
      sum = addLogs(sum, gaps.between(at, to).log + own[to]! + backward[to]!);
    backward[at] = sum;
  }
  // All choices together, that of none included.
  const whole = forward.reduce((sum, one) => addLogs(sum, one), 0);
  return {
    sure: candidates.map((_, at) => Math.min(1, Math.exp(forward[at]! + backward[at]! - whole))),
    rows: rowsOf(candidates, gaps, best, before),
  };
}

function rowsOf(
  candidates: readonly Candidate[],
  gaps: Gaps,
  best: Float64Array,
  before: Int32Array,
): Step[][] {
  let at = best.reduce((top, one, index) => (one > (top < 0 ? 0 : best[top]!) ? index : top), -1);
  const chosen: number[] = [];
  for (; at >= 0; at = before[at]!) chosen.unshift(at);
  const rows: Step[][] = [];
  for (const [index, one] of chosen.entries()) {
    const step = { atS: candidates[one]!.atS, at: one };
    if (index === 0) {
      rows.push([step]);
      continue;
    }
    const last = candidates[chosen[index - 1]!]!.atS;
    const { goesOn, unheard } = gaps.between(chosen[index - 1]!, one);
    if (!goesOn) {
      rows.push([step]);
      continue;
    }
    for (let missing = 1; missing <= unheard; missing++)
      rows.at(-1)!.push({ atS: last + (missing * (step.atS - last)) / (unheard + 1), at: null });
    rows.at(-1)!.push(step);
  }
  return rows;
}

function addLogs(a: number, b: number): number {
  if (a === -Infinity) return b;
  const [high, low] = a > b ? [a, b] : [b, a];
  return high + Math.log1p(Math.exp(low - high));
}
