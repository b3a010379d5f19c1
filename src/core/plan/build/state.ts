import type { BuildAsk } from './model';
import { warmsFor, type BuildOption } from './option';

// Looked up once: where globals are slow to reach (a test's own world), this is most of the time.
const { abs, max, min } = Math;
const none = Number.NEGATIVE_INFINITY;
const endless = Number.POSITIVE_INFINITY;

/**
 * A choice that is changed a piece at a time, with its worth at hand: what a move would bring is told without building the
 * choice anew. It agrees with {@link worthOf} and {@link brokenBy}, which are written to be read.
 */
export class BuildState {
  readonly #ask: BuildAsk;
  /** By option: mean worth less cost, worth by child one after the other, time, phase, what it carries, and whether care looks at it. */
  readonly #plain: Float64Array;
  readonly #good: Float64Array;
  /** The most an option brings anybody. */
  readonly #bestGood: Float64Array;
  readonly #takes: Float64Array;
  readonly #phase: Int32Array;
  readonly #things: readonly (readonly number[])[];
  readonly #loaded: readonly boolean[];
  readonly #family: Int32Array;
  readonly #drill: Int32Array;
  readonly #locked: readonly boolean[];
  readonly #must: readonly boolean[];
  /** The option taken of each drill, -1 for none. */
  readonly #taken: Int32Array;
  readonly #served: Float64Array;
  readonly #phaseS: Float64Array;
  readonly #phaseCount: Int32Array;
  readonly #familyCount: Int32Array;
  readonly #carried: Int32Array;
  readonly #load: readonly Float64Array[];
  /** The limits an option counts for, and how many of each are in. */
  readonly #limitsOf: readonly (readonly number[])[];
  readonly #inLimit: Int32Array;
  #seconds = 0;
  #count = 0;
  /** Parts of the worth as they stand: means less costs, variety, phases off their shares, and kinds of things carried. */
  #sum = 0;
  #variety = 0;
  #off: number;
  #thingCount = 0;
  #least = 0;

  constructor(ask: BuildAsk) {
    const { options, children } = ask;
    const indexOf = (names: readonly string[]) => {
      const known = new Map([...new Set(names)].map((name, at) => [name, at]));
      return (name: string) => known.get(name)!;
    };
    const drillAt = indexOf(options.map(({ drill }) => drill));
    const familyAt = indexOf(options.map(({ family }) => family));
    const thingAt = indexOf(options.flatMap(({ things }) => things));
    this.#ask = ask;
    this.#plain = Float64Array.from(
      options,
      ({ good, cost }) =>
        good.reduce((sum, one) => sum + one, 0) / max(1, children) - cost - ask.weights.block,
    );
    this.#good = Float64Array.from(options.flatMap(({ good }) => good));
    this.#bestGood = Float64Array.from(options, ({ good }) => max(0, ...good));
    this.#takes = Float64Array.from(options, ({ seconds }) => seconds);
    this.#phase = Int32Array.from(options, ({ phase }) => phase);
    this.#off = ask.shares.reduce((sum, share) => sum + share, 0);
    this.#things = options.map(({ things }) => [...new Set(things)].map(thingAt));
    this.#loaded = options.map(({ loads }) => loads.some((own) => own.some((load) => load > 0)));
    this.#family = Int32Array.from(options, ({ family }) => familyAt(family));
    this.#drill = Int32Array.from(options, ({ drill }) => drillAt(drill));
    this.#locked = options.map(({ id }) => ask.locked.includes(id));
    this.#must = options.map(({ drill }) => ask.must.includes(drill));
    this.#taken = new Int32Array(new Set(this.#drill).size).fill(-1);
    this.#served = new Float64Array(children);
    this.#phaseS = new Float64Array(ask.shares.length);
    this.#phaseCount = new Int32Array(ask.shares.length);
    this.#familyCount = new Int32Array(new Set(this.#family).size);
    this.#carried = new Int32Array(new Set(options.flatMap(({ things }) => things)).size);
    this.#load = ask.caps.map(() => new Float64Array(children));
    const members = ask.limits.map(({ ids }) => new Set(ids));
    this.#limitsOf = options.map(({ id }) => [...members.keys()].filter((at) => members[at]!.has(id)));
    this.#inLimit = new Int32Array(ask.limits.length);
  }

  /** Places of the options that are in, in the order of the list. */
  chosen(): number[] {
    return [...this.#taken].filter((at) => at >= 0).sort((a, b) => a - b);
  }
  isIn = (at: number): boolean => this.#taken[this.#drill[at]!] === at;
  /** The option of the same drill that is in, -1 for none. */
  rivalOf = (at: number): number => this.#taken[this.#drill[at]!]!;

  /** What the choice is worth as it stands. */
  worth(): number {
    return this.#worth(-1, -1);
  }

  /**
   * What the choice would be worth with one option out and another in (-1 for none); -Infinity where a hard limit would
   * not hold.
   * @param enough a worth that would not do: nothing dear is looked at below it
   */
  with(out: number, into: number, enough = none): number {
    const { options, seconds, most, mostBlocks, caps } = this.#ask;
    if (
      out >= 0 &&
      (this.#locked[out] || (this.#must[out] && (into < 0 || this.#drill[into] !== this.#drill[out])))
    )
      return none;
    if (into >= 0) {
      const rival = this.rivalOf(into);
      if (rival >= 0 && rival !== out) return none;
      const { phase } = options[into]!;
      const limit = most[phase];
      const leaving = out >= 0 && options[out]!.phase === phase ? 1 : 0;
      if (limit !== null && limit !== undefined && this.#phaseCount[phase]! + 1 - leaving > limit)
        return none;
    }
    const spent = this.#seconds + (into < 0 ? 0 : this.#takes[into]!) - (out < 0 ? 0 : this.#takes[out]!);
    if (spent > seconds || (out < 0 && into >= 0 && this.#count >= mostBlocks)) return none;
    const worth = this.#worth(out, into, enough);
    if (worth <= enough) return none;
    if (into >= 0 && this.#loaded[into])
      for (const [kind, own] of caps.entries())
        for (const [child, cap] of own.entries()) {
          const load =
            this.#load[kind]![child]! +
            options[into]!.loads[kind]![child]! -
            (out < 0 ? 0 : options[out]!.loads[kind]![child]!);
          if (load > cap + 1e-6) return none;
        }
    return this.#isWarm(out, into) && !this.#isBarred(out, into) ? worth : none;
  }

  /** Puts one option out and another in (-1 for none). */
  move(out: number, into: number): void {
    this.#put(out, -1);
    this.#put(into, 1);
  }

  #put(at: number, sign: 1 | -1): void {
    if (at < 0) return;
    const { good, seconds, phase, loads } = this.#ask.options[at]!;
    this.#taken[this.#drill[at]!] = sign > 0 ? at : -1;
    for (const [child, one] of good.entries()) this.#served[child]! += sign * one;
    this.#off += this.#offBy(phase, sign * seconds);
    this.#seconds += sign * seconds;
    this.#count += sign;
    this.#phaseS[phase]! += sign * seconds;
    this.#phaseCount[phase]! += sign;
    const family = this.#family[at]!;
    const before = this.#familyCount[family]!;
    this.#variety += sign > 0 ? this.#nth(before) : -this.#nth(before - 1);
    this.#familyCount[family] = before + sign;
    for (const thing of this.#things[at]!) {
      this.#thingCount -= this.#carried[thing]! > 0 ? 1 : 0;
      this.#carried[thing]! += sign;
      this.#thingCount += this.#carried[thing]! > 0 ? 1 : 0;
    }
    if (this.#loaded[at])
      for (const [kind, own] of loads.entries())
        for (const [child, load] of own.entries()) this.#load[kind]![child]! += sign * load;
    for (const limit of this.#limitsOf[at]!) this.#inLimit[limit]! += sign;
    this.#sum += sign * this.#plain[at]!;
    this.#least = this.#leastAfter(-1, -1);
  }

  #worth(out: number, into: number, enough = none): number {
    const { weights } = this.#ask;
    let worth = this.#sum + this.#variety - weights.phase * this.#off;
    let comes = -1;
    let goes = -1;
    let inPhase = -1;
    let inS = 0;
    let most = this.#least;
    if (into >= 0) {
      worth += this.#plain[into]!;
      comes = this.#family[into]!;
      inPhase = this.#phase[into]!;
      inS = this.#takes[into]!;
      most += this.#bestGood[into]!;
    }
    if (out >= 0) {
      worth -= this.#plain[out]!;
      goes = this.#family[out]!;
      const outPhase = this.#phase[out]!;
      if (outPhase === inPhase) inS -= this.#takes[out]!;
      else worth -= weights.phase * this.#offBy(outPhase, -this.#takes[out]!);
    }
    if (inPhase >= 0) worth -= weights.phase * this.#offBy(inPhase, inS);
    if (comes !== goes) {
      if (comes >= 0) worth += this.#nth(this.#familyCount[comes]!);
      if (goes >= 0) worth -= this.#nth(this.#familyCount[goes]! - 1);
    }
    worth -= weights.thing * this.#thingsAfter(out, into);
    // Nobody can be served better than the least of now and the most it brings anybody: that alone rules most moves out.
    if (worth + weights.fair * most <= enough) return none;
    return worth + weights.fair * this.#leastAfter(out, into);
  }

  #leastAfter(out: number, into: number): number {
    const { children } = this.#ask;
    if (children === 0) return 0;
    const from = out * children;
    const to = into * children;
    let least = endless;
    for (let child = 0; child < children; child++) {
      let served = this.#served[child]!;
      if (into >= 0) served += this.#good[to + child]!;
      if (out >= 0) served -= this.#good[from + child]!;
      if (served < least) least = served;
    }
    return least;
  }

  #thingsAfter(out: number, into: number): number {
    let things = this.#thingCount;
    if (into >= 0) for (const thing of this.#things[into]!) if (this.#carried[thing] === 0) things += 1;
    if (out >= 0)
      for (const thing of this.#things[out]!)
        if (this.#carried[thing] === 1 && !(into >= 0 && this.#things[into]!.includes(thing))) things -= 1;
    return things;
  }

  /** What one more drill of a family is worth that has so many. */
  #nth = (count: number): number => this.#ask.weights.variety[min(count, 3)]!;

  /** How much further off its share a phase would be with so many seconds more. */
  #offBy(phase: number, more: number): number {
    const { wholeS, shares } = this.#ask;
    const [spent, share] = [this.#phaseS[phase]!, shares[phase]!];
    return abs((spent + more) / wholeS - share) - abs(spent / wholeS - share);
  }

  /** The options there would be after a move. */
  #after(out: number, into: number): BuildOption[] {
    const { options } = this.#ask;
    const after: BuildOption[] = [];
    for (const at of this.#taken) if (at >= 0 && at !== out) after.push(options[at]!);
    if (into >= 0) after.push(options[into]!);
    return after;
  }

  #isWarm(out: number, into: number): boolean {
    const { options } = this.#ask;
    const asks = into >= 0 && options[into]!.asks.length > 0;
    const warmed = out >= 0 && options[out]!.warms.length > 0;
    if (!asks && !warmed) return true;
    const after = this.#after(out, into);
    return after.every((one) => one.asks.every((part) => after.some((warm) => warmsFor(warm, part, one))));
  }

  #isBarred(out: number, into: number): boolean {
    if (into < 0) return false;
    for (const limit of this.#limitsOf[into]!) {
      const leaves = out >= 0 && this.#limitsOf[out]!.includes(limit) ? 1 : 0;
      if (this.#inLimit[limit]! + 1 - leaves > this.#ask.limits[limit]!.most) return true;
    }
    return false;
  }
}
