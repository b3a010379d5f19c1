import { kinds } from '../src/core/skill/level/assumptions';
import { follow, later, takenIn, type Dated } from '../src/core/skill/level/follow';
import { assumptions } from '../src/core/skill/level/assumptions';
import { halfWidth } from '../src/core/skill/level/scale';
import { drawPlayer } from '../src/core/skill/testing/own-world';
import { gainsOver } from '../src/core/skill/testing/score';
import { seededRandom } from '../src/core/base/random';
import { squadLevels, type Series } from '../src/core/skill/level/squad';
import { doubled, findings, passedDrops, roundNumbers } from '../src/core/skill/honest';
import { tappedMonth, toldKinds, toldSeason } from '../src/core/skill/testing/seasons';
import { heldIn, worldMarks, worlds } from '../src/core/skill/testing/worlds';
import { otherWorld } from './lib/other-world';
import { median } from './lib/measure';

/*
 * Are the ranges as wide as they say? Two thousand players of each kind drawn as the model takes them to be, and seasons
 * of the demo's generator, which knows nothing of the model, under other seeds. Each row says what share of the true
 * levels lies in the range of 95 %, what share of levels a week ahead in that of 80 %, and how much better days were
 * foreseen than by a mean or the day before.
 */
const seed = Number(process.env.VOWSTEP_SEED ?? 20261127);
const row = (bench: string, value: number, unit: string, more: Record<string, unknown> = {}) =>
  console.log(JSON.stringify({ bench, value: Number(value.toPrecision(4)), unit, ...more }));

const all = [...new Set(Object.values(kinds))];
const players = 2000;
for (const kind of all) {
  const random = seededRandom(seed);
  let [held, ahead, byMean, byLast, days] = [0, 0, 0, 0, 0];
  for (let n = 0; n < players; n++) {
    const drawn = drawPlayer(kind, 16, 7, random);
    const followed = follow(kind, { mean: drawn.usual, variance: assumptions[kind].apart ** 2 }, drawn.dated);
    const state = followed.after.at(-1)!;
    if (Math.abs(drawn.levels.at(-1)! - state.level) < halfWidth[0.95] * Math.sqrt(state.levelVar)) held++;
    const then = later(state, 7, kind);
    if (Math.abs(drawn.ahead - then.level) < halfWidth[0.8] * Math.sqrt(then.levelVar)) ahead++;
    const gains = gainsOver(followed, drawn.dated);
    byMean += gains.mean;
    byLast += gains.last;
    days += gains.days;
  }
  row(`skill-cover-${kind}`, (100 * held) / players, '% of 95', { of: players });
  row(`skill-forecast-${kind}`, (100 * ahead) / players, '% of 80', { of: players });
  row(`skill-gain-${kind}`, Math.min(byMean, byLast) / days, 'nats a day', {
    overMean: Number((byMean / days).toPrecision(3)),
    overLast: Number((byLast / days).toPrecision(3)),
  });
}

const others = otherWorld(seed);
for (const kind of all) {
  const own = others.filter((one) => one.kind === kind);
  if (own.length === 0) continue;
  const of = own.length;
  row(`skill-cover-demo-${kind}`, (100 * own.filter((one) => one.held).length) / of, '% of 95', { of });
  row(`skill-forecast-demo-${kind}`, (100 * own.filter((one) => one.ahead).length) / of, '% of 80', { of });
  const sum = (which: 'mean' | 'last' | 'days') => own.reduce((total, one) => total + one.gains[which], 0);
  row(`skill-gain-demo-${kind}`, Math.min(sum('mean'), sum('last')) / sum('days'), 'nats a day', {
    overMean: Number((sum('mean') / sum('days')).toPrecision(3)),
    overLast: Number((sum('last') / sum('days')).toPrecision(3)),
  });
}

// Worlds that learn by rules the model does not know: how often a day of passing lies in its range of 80 %, and the chance to
// pass that was said against the share that did, all marks together.
for (const world of worlds)
  for (const kind of ['rate', 'chance'] as const) {
    const held = worldMarks.map((mark) => heldIn(world, kind, mark, 400, seed));
    const mean = (of: 'inside' | 'said' | 'came') =>
      (100 * held.reduce((sum, one) => sum + one[of], 0)) / held.length;
    const name = kind === 'rate' ? world : `${world}-rows`;
    row(`skill-forecast-world-${name}`, mean('inside'), '% of 80', {
      said: Number(mean('said').toFixed(1)),
      came: Number(mean('came').toFixed(1)),
      byMark: Object.fromEntries(
        held.map(({ said, came }, at) => [worldMarks[at], [said, came].map((one) => Math.round(100 * one))]),
      ),
    });
  }

// Honest counts: seasons told and months tapped, honest ones and not. Found is the least of the three ways of fudging.
{
  const random = seededRandom(seed);
  const seasons = 200;
  const share = (made: () => boolean) =>
    (100 * Array.from({ length: seasons }, made).filter(Boolean).length) / seasons;
  const [told, tapped] = [
    share(() => roundNumbers(toldSeason(random, 0)) !== null),
    share(() => findings(tappedMonth(random), []).length > 0),
  ];
  row('skill-false-alarms', Math.max(told, tapped), '% of seasons', { told, tapped, most: 2 });
  const rounded = share(() => roundNumbers(toldSeason(random, 0.1)) !== null);
  const twice = share(() => doubled(tappedMonth(random, { twice: 0.06 })) !== null);
  const passed = share(() => passedDrops(tappedMonth(random, { pass: 0.6 })) !== null);
  row('skill-found', Math.min(rounded, twice, passed), '% of seasons', { rounded, twice, passed, least: 80 });
}

// Typed counts of honest seasons that are called doubtful all the same: the worst kind of count.
{
  const random = seededRandom(seed);
  const seasons = 400;
  const byKind = Object.fromEntries(
    toldKinds.map((kind) => {
      const doubtful = Array.from({ length: seasons }, () => findings([], toldSeason(random, 0, kind)));
      return [kind, (100 * doubtful.filter((found) => found.length > 0).length) / seasons];
    }),
  );
  row('skill-false-typed', Math.max(...Object.values(byKind)), '% of seasons', { ...byKind, most: 2 });
}

/** A squad as the demo's: each player on four steps of eight ladders, a few days on each, twelve weeks in all. */
function squadOf(size: number): Series[] {
  const random = seededRandom(seed);
  return Array.from({ length: size }, (_, player) =>
    Array.from({ length: 32 }, (__, n): Series => {
      const kind = all[n % all.length]!;
      const drawn = drawPlayer(kind, 24, 0, random);
      const from = (n % 4) * 6;
      const dated: readonly Dated[] = drawn.dated.slice(from, from + 6);
      const [playerId, ladder, step] = [`p${player}`, `l${Math.floor(n / 4)}`, `s${n % 4}`];
      return { playerId, ladder, step, condition: '', kind, usual: drawn.usual, dated };
    }),
  ).flat();
}
const msOf = (work: () => unknown, times = 15): number => {
  work();
  return median(
    Array.from({ length: times }, () => {
      const from = performance.now();
      work();
      return performance.now() - from;
    }),
  );
};
const [nine, sixty] = [squadOf(9), squadOf(60)];
const small = msOf(() => squadLevels(nine));
const large = msOf(() => squadLevels(sixty));
row('skill-squad', small, 'ms', { players: 9, most: 60 });
row('skill-squad-60', large, 'ms', {
  players: 60,
  perPlayerRatio: Number((large / 60 / (small / 9)).toFixed(2)),
});
const state = squadLevels(nine)[0]!;
const lastState = state.followed.after.at(-1)!;
const lastEvidence = state.dated.at(-1)!.evidence;
row(
  'skill-one',
  msOf(() => takenIn(later(lastState, 3, state.kind), lastEvidence), 101),
  'ms',
  { most: 2 },
);
