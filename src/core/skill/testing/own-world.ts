import { normals, type Random } from '../../base/random';
import { assumptions, passage, type Kind } from '../level/assumptions';
import type { Evidence } from '../level/evidence';
import type { Dated } from '../level/follow';
import { logistic } from '../level/scale';

/*
 * Players drawn as the model takes them to be, with their true levels beside: what its ranges are checked on.
 */

export interface Drawn {
  readonly kind: Kind;
  readonly usual: number;
  readonly dated: readonly Dated[];
  /** The true level on each day, and some days after the last. */
  readonly levels: readonly number[];
  readonly ahead: number;
  /** What it gains a week by then. */
  readonly gain: number;
}

/** Practice twice a week, with a fortnight's break in the middle. */
const daysOf = (n: number): number[] =>
  Array.from({ length: n }, (_, i) => Math.floor(i / 2) * 7 + (i % 2) * 3 + (i >= n / 2 ? 14 : 0));

const usualOf: Readonly<Record<Kind, number>> = { chance: 1.5, rate: 0, time: 1, share: 0, spread: 2.5 };

/**
 * One player on one step.
 * @param sessions how many days with counts
 * @param aheadDays days from the last one to the level that is to be foreseen; at most a break's
 */
export function drawPlayer(kind: Kind, sessions: number, aheadDays: number, random: Random): Drawn {
  const { apart, gain: usualGain, gainApart, form } = assumptions[kind];
  const draw = normals(random);
  const usual = usualOf[kind];
  let level = usual + apart * draw();
  let gain = usualGain + gainApart * draw();
  const goOn = (days: number) => {
    const { fade, reach, loose } = passage(kind, days);
    level += reach * gain + Math.sqrt(loose) * draw();
    gain *= fade;
  };
  const levels: number[] = [];
  const dated = daysOf(sessions).map((day, i, days) => {
    if (i > 0) goOn(day - days[i - 1]!);
    levels.push(level);
    return { day, evidence: drawEvidence(kind, level + form * draw(), random) };
  });
  goOn(aheadDays);
  return { kind, usual, dated, levels, ahead: level, gain };
}

/** What a day of a level brings. */
export function drawEvidence(kind: Kind, level: number, random: Random): Evidence {
  const draw = normals(random);
  const { noise } = assumptions[kind];
  const all = (n: number, one: () => number) => Array.from({ length: n }, one).reduce((a, b) => a + b, 0);
  const p = logistic(level);
  switch (kind) {
    case 'chance':
      return { kind, of: 30, sum: all(30, () => (random() < p ? 1 : 0)) };
    case 'rate': {
      const expected = 30 * Math.exp(level);
      return {
        kind,
        of: 30,
        sum: Math.max(0, Math.round(expected + Math.sqrt(noise * expected) * draw())),
      };
    }
    case 'time':
      return { kind, of: 3, sum: all(3, () => level + noise * draw()) };
    case 'share': {
      // Shares between nothing and all, with a part of the variance of hit-or-miss.
      const whole = 1 / noise - 1;
      return { kind, of: 10, sum: all(10, () => beta(p * whole, (1 - p) * whole, random, draw)) };
    }
    case 'spread':
      return { kind, of: 9, sum: Math.exp(2 * level) * all(9, () => draw() ** 2) };
  }
}

/** A draw from a beta distribution, as a share of two gammas (Marsaglia and Tsang 2000). */
function beta(a: number, b: number, random: Random, draw: () => number): number {
  const [x, y] = [gamma(a, random, draw), gamma(b, random, draw)];
  return x + y === 0 ? 0 : x / (x + y);
}

function gamma(shape: number, random: Random, draw: () => number): number {
  if (shape < 1) return gamma(shape + 1, random, draw) * random() ** (1 / shape);
  const d = shape - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const x = draw();
    const v = (1 + c * x) ** 3;
    if (v > 0 && Math.log(1 - random()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v;
  }
}
