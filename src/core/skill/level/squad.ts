import { groupBy } from '../../base/group-by';
import { assumptions, type Kind } from './assumptions';
import { follow, smoothed, type Dated, type Followed } from './follow';
import type { Gauss } from './scale';

/** What a player did on a step under one set of conditions. */
export interface Series {
  readonly playerId: string;
  readonly ladder: string;
  readonly step: string;
  /** Which ball, feed, easing or place, where it was another than the step's own; '' for the step as it is. */
  readonly condition: string;
  readonly kind: Kind;
  /** Where players who come to this step usually are, on the scale of its measure. */
  readonly usual: number;
  readonly dated: readonly Dated[];
}

export interface Level extends Series {
  readonly prior: Gauss;
  readonly followed: Followed;
}

/** How far steps lie from where they were thought to be, as a share of how far players lie apart. Ours. */
const stepsOff = 0.6;
/** How much of what sets a player apart on one step of a ladder is theirs on all of it: share of the variance. Ours. */
const theirs = 0.56;
/** How far another ball, feed or place lies from the step as it is, as a share of how far players lie apart. Ours. */
const conditionsApart = 0.5;

const firstBelief = ({ kind, usual }: Series): Gauss => ({
  mean: usual,
  variance: assumptions[kind].apart ** 2,
});

/** Where a player began on a step, by their own log alone: what was believed beforehand is taken out again. */
interface Began {
  readonly series: Series;
  readonly off: number;
  readonly variance: number;
}

function beganAt(series: Series): Began | null {
  const prior = firstBelief(series);
  const start = smoothed(follow(series.kind, prior, series.dated))[0];
  if (!start) return null;
  const precision = 1 / start.variance - 1 / prior.variance;
  if (precision < 1e-6) return null;
  const mean = (start.mean / start.variance - prior.mean / prior.variance) / precision;
  return { series, off: mean - series.usual, variance: 1 / precision };
}

/** A mean of some values, drawn towards nought as far as they are few or unsure. */
function drawn(values: readonly (readonly [value: number, variance: number])[], spread: number): Gauss {
  let precision = 1 / spread ** 2;
  let sum = 0;
  for (const [value, variance] of values) {
    precision += 1 / variance;
    sum += value / variance;
  }
  return { mean: sum / precision, variance: 1 / precision };
}

/**
 * The levels of a whole squad. Steps of a ladder lend each other what they know: how hard a step really is, from
 * everybody else on it, and how good a player is, from their other steps. Another ball, feed or place begins at the
 * player's level on the step as it is.
 * @param all one of each player, step and condition; days in order
 */
export function squadLevels(all: readonly Series[]): Level[] {
  const plain = all.filter(({ condition }) => condition === '');
  const began = plain.flatMap((series) => beganAt(series) ?? []);
  const onStep = groupBy(began, ({ series }) => `${series.ladder} ${series.step}`);
  const ofPlayer = groupBy(began, ({ series }) => `${series.playerId} ${series.ladder}`);

  const offOf = (step: string, but: string, kind: Kind): Gauss => {
    const { apart } = assumptions[kind];
    const others = (onStep.get(step) ?? []).filter(({ series }) => series.playerId !== but);
    return drawn(
      others.map(({ off, variance }) => [off, variance + apart ** 2]),
      stepsOff * apart,
    );
  };
  const beliefOf = (series: Series): Gauss => {
    const { playerId, ladder, step, kind, usual } = series;
    const { apart } = assumptions[kind];
    const [own, rest] = [theirs * apart ** 2, (1 - theirs) * apart ** 2];
    const hard = offOf(`${ladder} ${step}`, playerId, kind);
    const elsewhere = (ofPlayer.get(`${playerId} ${ladder}`) ?? []).filter(
      (one) => one.series.step !== step && one.series.kind === kind,
    );
    const good = drawn(
      elsewhere.map(({ series: other, off, variance }) => {
        const there = offOf(`${ladder} ${other.step}`, playerId, kind);
        return [off - there.mean, variance + rest + there.variance];
      }),
      Math.sqrt(own),
    );
    return { mean: usual + hard.mean + good.mean, variance: hard.variance + good.variance + rest };
  };

  const levels = plain.map((series) => {
    const prior = beliefOf(series);
    return { ...series, prior, followed: follow(series.kind, prior, series.dated) };
  });
  const known = new Map(levels.map((level) => [keyOf(level), level]));
  const others = all.flatMap((series) => {
    if (series.condition === '') return [];
    const base = known.get(keyOf({ ...series, condition: '' }));
    const state = base?.followed.after.at(-1);
    const belief = state ? { mean: state.level, variance: state.levelVar } : beliefOf(series);
    const { apart } = assumptions[series.kind];
    const prior = { ...belief, variance: belief.variance + (conditionsApart * apart) ** 2 };
    return [{ ...series, prior, followed: follow(series.kind, prior, series.dated) }];
  });
  return [...levels, ...others];
}

const keyOf = ({ playerId, ladder, step, condition }: Series): string =>
  `${playerId} ${ladder} ${step} ${condition}`;
