import { warmsFor, type BuildOption } from './option';
import { inStretches, type Stretches } from './stretches';

export interface BuildAsk {
  readonly children: number;
  readonly options: readonly BuildOption[];
  /** Whole seconds there are. */
  readonly seconds: number;
  /** Seconds the shares are of: the same however much of them drinks take in the end, so that worths can be compared. */
  readonly wholeS: number;
  /** The share of the time each phase should have; they add up to 1. */
  readonly shares: readonly number[];
  /** How many blocks a phase may have; null for as many as there is room for. */
  readonly most: readonly (number | null)[];
  /** How many blocks there may be in all. */
  readonly mostBlocks: number;
  /** What each child may still do, by capped kind and child. */
  readonly caps: readonly (readonly number[])[];
  /** Options that stay, and drills that have to be in at some size: each has at least one option. */
  readonly locked: readonly string[];
  readonly must: readonly string[];
  /** Of some options at most so many: what care forbids together, or what another proposal has. */
  readonly limits: readonly { readonly ids: readonly string[]; readonly most: number }[];
  /** Stretches the work has to fit into, with a drink between them; null where drinks are not looked at. */
  readonly stretches: Stretches | null;
  readonly weights: Weights;
}

/**
 * What good things are worth against each other. The unit is the worth of one usual dose of a drill a child has no
 * special need of, to every child: about 0.2. All of them ours.
 */
export interface Weights {
  /** The least-served child counts so much more than the mean: a session is for everybody. */
  readonly fair: number;
  /** The first, second, third and any further drill of a family: something else is worth more than more of the same. */
  readonly variety: readonly [number, number, number, number];
  /** All of the session in the wrong phases costs this: time is shared out as coaches share it. */
  readonly phase: number;
  /** One more block: it is told, shown and settled into, and only then practised. */
  readonly block: number;
  /** One more kind of thing to carry, or spot to walk to. */
  readonly thing: number;
}

export const usualWeights: Weights = {
  fair: 0.5,
  variety: [0.3, 0.12, 0, -0.12],
  phase: 1.5,
  block: 0.5,
  thing: 0.02,
};

/** What variety is worth with so many drills of one family. */
export function varietyOf(count: number, { variety }: Weights): number {
  let worth = 0;
  for (let n = 0; n < count; n++) worth += variety[Math.min(n, variety.length - 1)]!;
  return worth;
}

/** Whether a choice keeps every hard limit; the name of the first that does not hold, or null. */
export function brokenBy(ask: BuildAsk, chosen: readonly BuildOption[]): string | null {
  const ids = new Set(chosen.map(({ id }) => id));
  if (chosen.reduce((sum, { seconds }) => sum + seconds, 0) > ask.seconds) return 'time';
  if (chosen.length > ask.mostBlocks) return 'blocks';
  if (new Set(chosen.map(({ drill }) => drill)).size < chosen.length) return 'twice';
  if (ask.locked.some((id) => !ids.has(id))) return 'locked';
  if (ask.must.some((drill) => !chosen.some((one) => one.drill === drill))) return 'must';
  if (
    ask.most.some((most, phase) => most !== null && chosen.filter((one) => one.phase === phase).length > most)
  )
    return 'most of a phase';
  for (const [kind, caps] of ask.caps.entries())
    for (const [child, cap] of caps.entries()) {
      const load = chosen.reduce((sum, { loads }) => sum + loads[kind]![child]!, 0);
      if (load > cap + 1e-6) return 'care';
    }
  for (const one of chosen)
    for (const part of one.asks) if (!chosen.some((other) => warmsFor(other, part, one))) return 'warm-up';
  if (ask.limits.some((one) => one.ids.filter((id) => ids.has(id)).length > one.most)) return 'together';
  if (ask.stretches && !inStretches(chosen, ask.stretches)) return 'drinks';
  return null;
}

/** What a choice is worth, part by part. Whether it may be is asked of {@link brokenBy}. */
export function worthOf(ask: BuildAsk, chosen: readonly BuildOption[]) {
  const { children, wholeS, shares, weights } = ask;
  const served = Array.from({ length: children }, (_, child) =>
    chosen.reduce((sum, { good }) => sum + good[child]!, 0),
  );
  const mean = served.reduce((sum, one) => sum + one, 0) / Math.max(1, children);
  const least = children === 0 ? 0 : Math.min(...served);
  const families = new Map<string, number>();
  for (const { family } of chosen) families.set(family, (families.get(family) ?? 0) + 1);
  const variety = [...families.values()].reduce((sum, count) => sum + varietyOf(count, weights), 0);
  const off = shares.reduce((sum, share, phase) => {
    const spent = chosen.reduce((s, one) => s + (one.phase === phase ? one.seconds : 0), 0);
    return sum + Math.abs(spent / wholeS - share);
  }, 0);
  const things = new Set(chosen.flatMap((one) => one.things)).size;
  const cost = chosen.reduce((sum, one) => sum + one.cost, 0);
  return {
    served,
    total:
      mean +
      weights.fair * least +
      variety -
      weights.phase * off -
      weights.block * chosen.length -
      weights.thing * things -
      cost,
  };
}
