import { remembering } from '../base/remember';

/** What trying for a row until it is there, or until its time is over, comes to on average. */
export interface CappedRow {
  /** Mean seconds: of the shorter of the row's own time and the cap. */
  readonly seconds: number;
  /** Chance that the row is there before the cap. */
  readonly reached: number;
}

interface Asked {
  /** Chance of one success, 0 to 1. */
  readonly p: number;
  /** Length of the row, a whole number >= 1. */
  readonly target: number;
  /** Seconds of one try, > 0. */
  readonly tryS: number;
  /** Seconds a drop costs besides, >= 0. */
  readonly dropS: number;
  /** Seconds there are, > 0. */
  readonly capS: number;
}

/** Chances smaller than this change no second. */
const negligible = 1e-10;

/**
 * Tries for a row under a time cap, exactly: every row starts after a number of tries and of drops, which say how much time is
 * left, and the chance of each such start follows from the starts before it (renewal theory; W. Feller, An Introduction to
 * Probability Theory and Its Applications, vol. 1, ch. XIII, gives the same without a cap).
 */
export const cappedRow = remembering(({ p, target, tryS, dropS, capS }: Asked): CappedRow => {
  const q = 1 - p;
  const most = Math.floor(capS / tryS) + 1;
  const whole = target * tryS + dropS;
  const oneRow = rowsOf({ p, target, tryS, dropS, capS });
  const all = oneRow(whole);
  const sum = { seconds: 0, reached: 0 };
  // Chances that a row starts after so many tries, the same number of drops among them in all of these.
  let starts = new Float64Array(most + 1);
  starts[0] = 1;
  for (let drops = 0; drops <= most && drops * dropS < capS; drops++) {
    let left = 0;
    for (let tries = 0; tries <= most; tries++) {
      const chance = starts[tries]!;
      const leftS = capS - tries * tryS - drops * dropS;
      if (chance === 0 || leftS <= 0) continue;
      left += chance;
      const row = leftS >= whole ? all : oneRow(leftS);
      sum.seconds += chance * row.seconds;
      sum.reached += chance * row.reached;
    }
    if (left < negligible) break;
    starts = nextStarts(starts, target, p, q);
  }
  return sum;
}, 4096);

/** Chances of the starts with one drop more: a row of 0 to target - 1 good tries, and the drop that ends it. */
function nextStarts(starts: Float64Array, target: number, p: number, q: number): Float64Array<ArrayBuffer> {
  const next = new Float64Array(starts.length);
  const gone = p ** target * q;
  let chance = 0;
  for (let tries = 1; tries < starts.length; tries++) {
    const before = tries - 1 - target;
    chance = p * chance + q * starts[tries - 1]! - (before >= 0 ? gone * starts[before]! : 0);
    next[tries] = Math.max(0, chance);
  }
  return next;
}

/**
 * One row, until it is there, dropped and the drop paid for, or its time is over, for any time that is left. Tries that have
 * time for themselves and for a drop are summed up once; only those at the end of the time are gone through.
 */
function rowsOf({ p, target, tryS, dropS }: Asked): (leftS: number) => CappedRow {
  const chances = new Float64Array(target + 1);
  const whole = new Float64Array(target + 1);
  chances[0] = 1;
  for (let n = 1; n <= target; n++) {
    whole[n] = whole[n - 1]! + chances[n - 1]! * (tryS + (1 - p) * dropS);
    chances[n] = chances[n - 1]! * p;
  }
  return (leftS) => {
    const done = Math.max(0, Math.min(target - 1, Math.floor((leftS - dropS) / tryS)));
    let seconds = whole[done]!;
    for (let n = done + 1; n <= target; n++) {
      const chance = chances[n - 1]!;
      const startS = (n - 1) * tryS;
      if (startS >= leftS) break;
      seconds += chance * Math.min(tryS, leftS - startS);
      const endS = startS + tryS;
      if (endS > leftS + 1e-9) break;
      seconds += chance * (1 - p) * Math.max(0, Math.min(dropS, leftS - endS));
      if (n === target) return { seconds, reached: chances[target]! };
    }
    return { seconds, reached: 0 };
  };
}
