import { warmsFor, type BuildAsk, type BuildOption } from './model';

/**
 * A choice that is changed a piece at a time, with its worth at hand: what a move would bring is told without building the
 * choice anew. It agrees with {@link worthOf} and {@link brokenBy}, which are written to be read.
 */
export class BuildState {
  readonly #ask: BuildAsk;
  /** By option: mean worth less cost, what it carries, and whether care looks at it. */
  readonly #plain: Float64Array;
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
  #seconds = 0;
  #sum = 0;

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
      ({ good, cost }) => good.reduce((sum, one) => sum + one, 0) / Math.max(1, children) - cost,
    );
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
  with(out: number, into: number, enough = -Infinity): number {
    const { options, seconds, most, caps } = this.#ask;
    if (
      out >= 0 &&
      (this.#locked[out] || (this.#must[out] && (into < 0 || this.#drill[into] !== this.#drill[out])))
    )
      return -Infinity;
    if (into >= 0) {
      const rival = this.rivalOf(into);
      if (rival >= 0 && rival !== out) return -Infinity;
      const { phase } = options[into]!;
      const limit = most[phase];
      const leaving = out >= 0 && options[out]!.phase === phase ? 1 : 0;
      if (limit !== null && limit !== undefined && this.#phaseCount[phase]! + 1 - leaving > limit)
        return -Infinity;
    }
    const spent =
      this.#seconds + (into < 0 ? 0 : options[into]!.seconds) - (out < 0 ? 0 : options[out]!.seconds);
    if (spent > seconds) return -Infinity;
    const worth = this.#worth(out, into);
    if (worth <= enough) return -Infinity;
    if (into >= 0 && this.#loaded[into])
      for (const [kind, own] of caps.entries())
        for (const [child, cap] of own.entries()) {
          const load =
            this.#load[kind]![child]! +
            options[into]!.loads[kind]![child]! -
            (out < 0 ? 0 : options[out]!.loads[kind]![child]!);
          if (load > cap + 1e-6) return -Infinity;
        }
    return this.#isWarm(out, into) && !this.#isBarred(out, into) ? worth : -Infinity;
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
    this.#seconds += sign * seconds;
    this.#phaseS[phase]! += sign * seconds;
    this.#phaseCount[phase]! += sign;
    this.#familyCount[this.#family[at]!]! += sign;
    for (const thing of this.#things[at]!) this.#carried[thing]! += sign;
    if (this.#loaded[at])
      for (const [kind, own] of loads.entries())
        for (const [child, load] of own.entries()) this.#load[kind]![child]! += sign * load;
    this.#sum += sign * this.#plain[at]!;
  }

  #worth(out: number, into: number): number {
    const { options, children, seconds, shares, weights } = this.#ask;
    const gone = out < 0 ? null : options[out]!;
    const come = into < 0 ? null : options[into]!;
    const plain = this.#sum + (into < 0 ? 0 : this.#plain[into]!) - (out < 0 ? 0 : this.#plain[out]!);
    let least = children === 0 ? 0 : Infinity;
    for (let child = 0; child < children; child++) {
      const served = this.#served[child]! + (come ? come.good[child]! : 0) - (gone ? gone.good[child]! : 0);
      if (served < least) least = served;
    }
    let variety = 0;
    for (let family = 0; family < this.#familyCount.length; family++) {
      const count =
        this.#familyCount[family]! +
        (into >= 0 && this.#family[into] === family ? 1 : 0) -
        (out >= 0 && this.#family[out] === family ? 1 : 0);
      for (let n = 0; n < count; n++) variety += weights.variety[Math.min(n, 3)]!;
    }
    let off = 0;
    for (let phase = 0; phase < shares.length; phase++) {
      const spent =
        this.#phaseS[phase]! +
        (come?.phase === phase ? come.seconds : 0) -
        (gone?.phase === phase ? gone.seconds : 0);
      off += Math.abs(spent / seconds - shares[phase]!);
    }
    let things = 0;
    for (let thing = 0; thing < this.#carried.length; thing++) {
      const here = this.#carried[thing]! - (out >= 0 && this.#things[out]!.includes(thing) ? 1 : 0);
      if (here > 0 || (into >= 0 && this.#things[into]!.includes(thing))) things += 1;
    }
    return plain + weights.fair * least + variety - weights.phase * off - weights.thing * things;
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
    const { limits, options } = this.#ask;
    if (limits.length === 0 || into < 0) return false;
    const { id } = options[into]!;
    const after = this.#after(out, into);
    return limits.some(
      ({ ids, most }) => ids.includes(id) && after.filter((one) => ids.includes(one.id)).length > most,
    );
  }
}
