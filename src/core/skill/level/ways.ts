import { assumptions, type Kind } from './assumptions';
import { begun, later, takenIn, type Dated, type State } from './follow';
import type { Gauss } from './scale';

/** One way somebody may be learning, with how likely it is after all that was logged. */
export interface Way {
  readonly share: number;
  readonly state: State;
}

/** How somebody learns: by fits and starts, evenly, not at all, up to some day and no more, or all at once on some day. */
const learnings = ['on', 'evenly', 'never', 'until', 'at once'] as const;
type Learning = (typeof learnings)[number];
/** How likely each is beforehand: ours, so that forecasts hold in worlds that learn otherwise (`npm run bench -- skill`). */
const beforehand: Readonly<Record<Learning, number>> = {
  on: 0.2,
  evenly: 0.35,
  never: 0.1,
  until: 0.15,
  'at once': 0.2,
};
/** The day it stopped, or came, lies after one of these shares of the days. */
const turns = [1 / 3, 2 / 3] as const;
/** Who does not learn wanders so much less, as a share of the variance. Ours. */
const calm = 0.1;
/** What comes all at once may be so much, as a share of how far players lie apart. Ours. */
const atOnce = 0.8;
/** Most scatter less about their level than is assumed, some more: shares of the variance, each as likely. Ours. */
const scatters = [0.25, 0.55, 1.2] as const;

const stays = (state: State): State => ({ ...state, gain: 0, both: 0, gainVar: 0, wanders: calm });

const beginnings: Readonly<Record<Learning, (first: State) => State>> = {
  on: (first) => first,
  evenly: (first) => ({ ...first, wanders: calm }),
  never: stays,
  until: (first) => first,
  'at once': stays,
};

interface Hypothesis {
  readonly learning: Learning;
  /** After so many days it turns. */
  readonly turn: number;
  readonly scatter: number;
}

/** A level followed as a hypothesis has it; and how likely all the evidence was, log. */
function followedAs(
  { learning, turn, scatter }: Hypothesis,
  kind: Kind,
  prior: Gauss,
  dated: readonly Dated[],
): { state: State; log: number } {
  const first = { ...begun(kind, prior), scatter };
  let state = beginnings[learning](first);
  let log = 0;
  for (const [n, { day, evidence }] of dated.entries()) {
    if (n > 0) state = later(state, day - dated[n - 1]!.day, kind);
    if (learning === 'at once' && n === turn)
      state = { ...state, levelVar: state.levelVar + (atOnce * assumptions[kind].apart) ** 2 };
    const taken = takenIn(state, evidence);
    state = learning === 'until' && n + 1 === turn ? stays(taken.after) : taken.after;
    log += taken.logChance;
  }
  return { state, log };
}

/** All there are for so many days. */
function hypotheses(days: number): readonly (Hypothesis & { readonly before: number })[] {
  const at = [...new Set(turns.map((share) => Math.round(share * days)))].filter((n) => n > 0 && n < days);
  return learnings.flatMap((learning) => {
    const own = learning === 'until' || learning === 'at once' ? at : [0];
    return own.flatMap((turn) =>
      scatters.map((scatter) => ({ learning, turn, scatter, before: beforehand[learning] / own.length })),
    );
  });
}

/** How somebody may be learning, each way weighed by how well it foresaw every day (Bayes). */
export function waysOn(kind: Kind, prior: Gauss, dated: readonly Dated[]): Way[] {
  const all = hypotheses(dated.length).map((one) => ({ ...one, ...followedAs(one, kind, prior, dated) }));
  const highest = Math.max(...all.map(({ log }) => log));
  const weights = all.map(({ before, log }) => before * Math.exp(log - highest));
  const whole = weights.reduce((sum, one) => sum + one, 0);
  return all.map(({ state }, at) => ({ share: weights[at]! / whole, state }));
}

/** A level some days later as all ways together have it: its mean and its variance. */
export function levelAfter(ways: readonly Way[], days: number, kind: Kind): Gauss {
  const states = ways.map(({ share, state }) => ({ share, ...later(state, days, kind) }));
  const mean = states.reduce((sum, { share, level }) => sum + share * level, 0);
  const variance = states.reduce(
    (sum, { share, level, levelVar }) => sum + share * (levelVar + (level - mean) ** 2),
    0,
  );
  return { mean, variance };
}
