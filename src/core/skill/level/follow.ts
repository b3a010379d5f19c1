import { assumptions, passage, type Assumptions, type Kind } from './assumptions';
import { scaleOf, scattered, type Evidence } from './evidence';
import type { Gauss } from './scale';
import { updated } from './update';

/** A day's evidence; days count from any day on. */
export interface Dated {
  readonly day: number;
  readonly evidence: Evidence;
}

/** A level that moves: the level, what it gains a week, and how sure both are (covariance). */
export interface State {
  readonly level: number;
  readonly gain: number;
  readonly levelVar: number;
  readonly both: number;
  readonly gainVar: number;
  /** How much it wanders, as a share of the variance of one who learns. */
  readonly wanders: number;
  /** How much days and counts scatter about it, as a share of the variance of most. */
  readonly scatter: number;
}

export interface Followed {
  readonly kind: Kind;
  readonly days: readonly number[];
  /** What was believed on each day before its evidence, and after it. */
  readonly before: readonly State[];
  readonly after: readonly State[];
  /** The level of each day's own form, after its evidence. */
  readonly form: readonly Gauss[];
  /** How likely each day's evidence was beforehand, log; comparable only between beliefs about the same evidence. */
  readonly logChance: readonly number[];
}

/** What is believed of a player who comes to a step. */
export function begun(kind: Kind, prior: Gauss): State {
  const { gain, gainApart } = assumptions[kind];
  return {
    level: prior.mean,
    gain,
    levelVar: prior.variance,
    both: 0,
    gainVar: gainApart ** 2,
    wanders: 1,
    scatter: 1,
  };
}

/** A state some days later ({@link passage}). */
export function later(
  { level, gain, levelVar, both, gainVar, wanders, scatter }: State,
  days: number,
  kind: Kind,
): State {
  const { fade, reach, loose } = passage(kind, days);
  return {
    level: level + reach * gain,
    gain: fade * gain,
    levelVar: levelVar + 2 * reach * both + reach ** 2 * gainVar + wanders * loose,
    both: fade * (both + reach * gainVar),
    gainVar: fade ** 2 * gainVar,
    wanders,
    scatter,
  };
}

/** What a day shows: its level and the form of the day about it. */
export const ofTheDay = (
  { level, levelVar, scatter }: State,
  { form }: Pick<Assumptions, 'form'>,
): Gauss => ({
  mean: level,
  variance: levelVar + scatter * form ** 2,
});

/** One day's evidence taken in. */
export function takenIn(
  before: State,
  evidence: Evidence,
): { readonly after: State; readonly form: Gauss; readonly logChance: number } {
  const day = ofTheDay(before, assumptions[evidence.kind]);
  const { mean, variance, logChance } = updated(day, scattered(evidence, before.scatter));
  const [toLevel, toGain] = [before.levelVar / day.variance, before.both / day.variance];
  const [moved, known] = [mean - day.mean, day.variance - variance];
  return {
    after: {
      level: before.level + toLevel * moved,
      gain: before.gain + toGain * moved,
      levelVar: before.levelVar - toLevel ** 2 * known,
      both: before.both - toLevel * toGain * known,
      gainVar: before.gainVar - toGain ** 2 * known,
      wanders: before.wanders,
      scatter: before.scatter,
    },
    form: { mean, variance },
    logChance: logChance - scaleOf(evidence, before.scatter),
  };
}

/**
 * Follows a level through what was logged, day by day (Kalman's filter for a random walk with a fading gain; with nothing
 * but times and a gain of nought it is the textbook's).
 * @param prior what is believed on the first day
 * @param dated in the order of days, one a day
 */
export function follow(kind: Kind, prior: Gauss, dated: readonly Dated[]): Followed {
  const days: number[] = [];
  const [before, after]: [State[], State[]] = [[], []];
  const form: Gauss[] = [];
  const logChance: number[] = [];
  let state = begun(kind, prior);
  let last = dated[0]?.day ?? 0;
  for (const { day, evidence } of dated) {
    state = later(state, day - last, kind);
    before.push(state);
    const taken = takenIn(state, evidence);
    state = taken.after;
    after.push(state);
    form.push(taken.form);
    logChance.push(taken.logChance);
    days.push(day);
    last = day;
  }
  return { kind, days, before, after, form, logChance };
}

/** The levels of all days, each with what was logged before and after it (Rauch, Tung and Striebel 1965, from memory). */
export function smoothed({ kind, days, before, after }: Followed): Gauss[] {
  const levels: Gauss[] = Array.from({ length: days.length });
  let next: State | undefined;
  for (let i = days.length - 1; i >= 0; i--) {
    const now = after[i]!;
    if (next) {
      const foreseen = before[i + 1]!;
      const { fade, reach } = passage(kind, days[i + 1]! - days[i]!);
      // What the next day's state owes to this one's: after · transition' · foreseen⁻¹.
      const [a, b] = [now.levelVar + reach * now.both, fade * now.both];
      const [c, d] = [now.both + reach * now.gainVar, fade * now.gainVar];
      const det = foreseen.levelVar * foreseen.gainVar - foreseen.both ** 2;
      const inverse = det > 1e-15;
      const own = (x: number, y: number): [number, number] =>
        inverse
          ? [
              (x * foreseen.gainVar - y * foreseen.both) / det,
              (y * foreseen.levelVar - x * foreseen.both) / det,
            ]
          : [x / foreseen.levelVar, 0];
      const [ll, lg] = own(a, b);
      const [gl, gg] = own(c, d);
      const [dl, dg] = [next.level - foreseen.level, next.gain - foreseen.gain];
      const [vl, vb, vg] = [
        next.levelVar - foreseen.levelVar,
        next.both - foreseen.both,
        next.gainVar - foreseen.gainVar,
      ];
      next = {
        level: now.level + ll * dl + lg * dg,
        gain: now.gain + gl * dl + gg * dg,
        levelVar: now.levelVar + ll * ll * vl + 2 * ll * lg * vb + lg * lg * vg,
        both: now.both + ll * gl * vl + (ll * gg + lg * gl) * vb + lg * gg * vg,
        gainVar: now.gainVar + gl * gl * vl + 2 * gl * gg * vb + gg * gg * vg,
        wanders: now.wanders,
        scatter: now.scatter,
      };
    } else next = now;
    levels[i] = { mean: next.level, variance: Math.max(1e-12, next.levelVar) };
  }
  return levels;
}
