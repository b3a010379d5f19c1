import { seededRandom, wholeBetween, type Random } from '@/core/base/random';
import { brokenBy, worthOf, type BuildAsk } from './model';
import { warmsFor } from './option';
import { BuildState } from './state';

/** A choice of options, by id, and what it is worth. */
export interface Built {
  readonly ids: readonly string[];
  readonly worth: number;
}

/** How often the search takes a few blocks out and builds on, and how often in vain before it stops. Ours, by the bench. */
const kicks = 240;
const idle = 56;
/** Few options are soon looked through, and hide the best as well as many: then it goes on for longer. Ours. */
const [fewOptions, longer] = [90, 6];
/** A gain this small is none. */
const tiny = 1e-9;

/**
 * Adds the option that brings most, until none brings anything.
 * @param thrift how much its time counts: 1 for worth by the second, which fills with small blocks; 0 for worth alone
 */
function fill(state: BuildState, ask: BuildAsk, barred: ReadonlySet<number>, thrift = 1): void {
  for (;;) {
    const now = state.worth();
    let [best, bestGain] = [-1, 0];
    for (const [at, { seconds }] of ask.options.entries()) {
      if (barred.has(at) || state.rivalOf(at) >= 0) continue;
      const gain = (state.with(-1, at, now) - now) / seconds ** thrift;
      if (gain > bestGain) [best, bestGain] = [at, gain];
    }
    if (best < 0) return;
    state.move(-1, best);
  }
}

/** The move that brings most, of adding, leaving out and exchanging one option; false when none brings anything. */
function improve(state: BuildState, ask: BuildAsk): boolean {
  let most = state.worth() + tiny;
  let [out, into] = [-1, -1];
  const look = (from: number, to: number) => {
    const worth = state.with(from, to, most);
    if (worth <= most) return;
    most = worth;
    out = from;
    into = to;
  };
  const chosen = state.chosen();
  for (const at of chosen) look(at, -1);
  for (let at = 0; at < ask.options.length; at++) {
    const rival = state.rivalOf(at);
    if (rival === at) continue;
    if (rival >= 0) look(rival, at);
    else {
      look(-1, at);
      for (const other of chosen) look(other, at);
    }
  }
  if (out < 0 && into < 0) return false;
  state.move(out, into);
  return true;
}

/** Leaves one out and fills what it leaves with others, where that is better: what a single exchange cannot reach. */
function exchangeForTwo(state: BuildState, ask: BuildAsk): boolean {
  const before = state.chosen();
  const worth = state.worth();
  for (const at of before) {
    if (state.with(at, -1) === -Infinity) continue;
    state.move(at, -1);
    fill(state, ask, new Set([at]));
    if (state.worth() > worth + tiny) return true;
    restore(state, before);
  }
  return false;
}

/**
 * Brings in a block together with what has to warm for it, where neither is worth its time alone, in place of what brings
 * least for its time; and keeps both where the session is better for it.
 */
function bringWarmed(state: BuildState, ask: BuildAsk): boolean {
  const before = state.chosen();
  const worth = state.worth();
  for (const [at, asker] of ask.options.entries()) {
    if (state.rivalOf(at) >= 0) continue;
    const cold = asker.asks.filter((part) => !before.some((one) => warmsFor(ask.options[one]!, part, asker)));
    if (cold.length !== 1) continue;
    for (const [warm, option] of ask.options.entries()) {
      if (state.rivalOf(warm) >= 0 || !warmsFor(option, cold[0]!, asker)) continue;
      if (makeRoom(state, ask, [warm, at])) {
        fill(state, ask, new Set());
        if (state.worth() > worth + tiny) return true;
      }
      restore(state, before);
    }
  }
  return false;
}

/** Puts options in one after the other, taking out what brings least for its time until they fit; false where they never do. */
function makeRoom(state: BuildState, ask: BuildAsk, wanted: readonly number[]): boolean {
  for (const at of wanted) {
    while (state.with(-1, at) === -Infinity) {
      const now = state.worth();
      let [out, least] = [-1, Infinity];
      for (const one of state.chosen()) {
        if (wanted.includes(one)) continue;
        const without = state.with(one, -1);
        if (without === -Infinity) continue;
        const loss = (now - without) / ask.options[one]!.seconds;
        if (loss < least) [out, least] = [one, loss];
      }
      if (out < 0) return false;
      state.move(out, -1);
    }
    state.move(-1, at);
  }
  return true;
}

function restore(state: BuildState, wanted: readonly number[]): void {
  for (const at of state.chosen()) if (!wanted.includes(at)) state.move(at, -1);
  for (const at of wanted) if (!state.isIn(at)) state.move(-1, at);
}

function climb(state: BuildState, ask: BuildAsk): void {
  while (improve(state, ask));
}

/** What has to be in: locked options, and each drill that was asked for at the size that leaves most room. */
function hasToBeIn(ask: BuildAsk, at: ReadonlyMap<string, number>): number[] | null {
  const start = ask.locked.map((id) => at.get(id)!);
  for (const drill of ask.must) {
    if (start.some((place) => ask.options[place]!.drill === drill)) continue;
    const sizes = [...ask.options.entries()].filter(([, one]) => one.drill === drill);
    if (sizes.length === 0) return null;
    start.push(sizes.reduce((least, next) => (next[1].seconds < least[1].seconds ? next : least))[0]);
  }
  return start;
}

/** The state with what has to be in, and what that needs warm, the shortest first; false where that cannot be. */
function begin(state: BuildState, ask: BuildAsk, start: readonly number[]): boolean {
  for (const place of start) state.move(-1, place);
  for (const place of start) {
    const asker = ask.options[place]!;
    for (const part of asker.asks) {
      if (state.chosen().some((one) => warmsFor(ask.options[one]!, part, asker))) continue;
      const warm = [...ask.options.entries()]
        .filter(([one, option]) => warmsFor(option, part, asker) && state.rivalOf(one) < 0)
        .sort(([, a], [, b]) => a.asks.length - b.asks.length || a.seconds - b.seconds)[0];
      if (warm) state.move(-1, warm[0]);
    }
  }
  return keepsAll(state, ask);
}

const keepsAll = (state: BuildState, ask: BuildAsk): boolean =>
  brokenBy(
    ask,
    state.chosen().map((one) => ask.options[one]!),
  ) === null;

/** Takes two or three blocks out at random and builds on without them. */
function kick(state: BuildState, ask: BuildAsk, random: Random): void {
  const barred = new Set<number>();
  for (let n = wholeBetween(random, 2, 4); n > 0; n--) {
    const may = state.chosen().filter((at) => state.with(at, -1) > -Infinity);
    if (may.length === 0) break;
    const at = may[wholeBetween(random, 0, may.length - 1)]!;
    state.move(at, -1);
    barred.add(at);
  }
  fill(state, ask, barred, random() < 0.5 ? 0 : random());
}

/**
 * A good session, quickly: built greedily, climbed, then shaken and climbed again. The same question and seed give the
 * same answer.
 * @param from ids to start from, where something was built before
 * @returns null where not even what was asked for fits together
 */
export function buildQuickly(ask: BuildAsk, seed: number, from: readonly string[] = []): Built | null {
  const random = seededRandom(seed);
  const state = new BuildState(ask);
  const at = new Map(ask.options.map(({ id }, place) => [id, place]));
  const start = hasToBeIn(ask, at);
  if (!start) return null;
  const before = from.flatMap((id) => at.get(id) ?? []);
  restore(state, before);
  // What stood before is where it begins, if it still may; else what has to be in, with as much of the rest as can stay.
  if (!keepsAll(state, ask)) {
    restore(state, []);
    if (!begin(state, ask, start)) return null;
    for (const place of before)
      if (state.rivalOf(place) < 0 && state.with(-1, place) > -Infinity) state.move(-1, place);
  }
  fill(state, ask, new Set());
  do climb(state, ask);
  while (exchangeForTwo(state, ask) || bringWarmed(state, ask));
  let best = state.chosen();
  let bestWorth = state.worth();
  const patience = ask.options.length <= fewOptions ? longer : 1;
  for (let n = 0, since = 0; n < kicks * patience && since < idle * patience; n++, since++) {
    kick(state, ask, random);
    climb(state, ask);
    const worth = state.worth();
    if (worth > bestWorth + tiny) {
      best = state.chosen();
      bestWorth = worth;
      since = -1;
    } else restore(state, best);
  }
  const chosen = best.map((place) => ask.options[place]!);
  return { ids: chosen.map(({ id }) => id), worth: worthOf(ask, chosen).total };
}
