import { drinkEveryS, drinkS } from '@/core/care/limits';
import { runsBefore, type BuildAsk, type BuildOption } from '@/core/planning/build/model';
import type { Built } from '@/core/planning/build/search';
import { evaluatePlan, type Evaluation, type PlanSetting } from '../evaluate';
import type { PlanBlock } from '../plan';
import type { Prepared } from './options';

/** A session that was built: its blocks in order, and how it looks to everything that looks at plans. */
export interface Session {
  readonly blocks: readonly PlanBlock[];
  /** The option each block is, in the same order. */
  readonly ids: readonly string[];
  readonly worth: number;
  readonly evaluation: Evaluation;
  /** What was asked in the end, with what care and drinks took away. */
  readonly ask: BuildAsk;
}

/** Warnings the builder can do nothing about: they are about the day or the child, not about what is chosen. */
const given: ReadonlySet<string> = new Set(['care note', 'heat']);
/** A plan that care does not let pass is built again so often at most. Ours. */
const mostTries = 8;

/** Blocks in the order they are run, with a drink where one is due. */
export function arranged(
  prepared: Prepared,
  ids: readonly string[],
  setting: PlanSetting,
): { blocks: PlanBlock[]; ids: string[] } {
  const options = new Map(prepared.ask.options.map((one) => [one.id, one]));
  const ordered = inOrder(ids.map((id) => options.get(id)!));
  const everyS = drinkEveryS(setting.airC);
  let sinceS = 0;
  const blocks = ordered.map((option, at) => {
    const next = ordered[at + 1];
    sinceS += option.seconds;
    const isDue = next !== undefined && sinceS + next.seconds > everyS;
    if (isDue) sinceS = 0;
    const block = prepared.blocks.get(option.id)!;
    const breakS = Math.max(block.breakS, isDue ? drinkS : 0);
    return breakS === block.breakS ? block : { ...block, breakS };
  });
  return { blocks, ids: ordered.map(({ id }) => id) };
}

/** By phase, what needs nothing warm first; in a phase, what shares its kit stands together. */
function inOrder(options: readonly BuildOption[]): BuildOption[] {
  const rest = [...options];
  const ordered: BuildOption[] = [];
  while (rest.length > 0) {
    const first = rest.filter((one) => !rest.some((other) => runsBefore(other, one)));
    const last = ordered.at(-1);
    const shared = (one: BuildOption) =>
      last ? one.things.filter((thing) => last.things.includes(thing)).length : 0;
    const next = first.reduce((best, one) => (shared(one) > shared(best) ? one : best));
    ordered.push(next);
    rest.splice(rest.indexOf(next), 1);
  }
  return ordered;
}

/**
 * Builds until what was built passes the rules the plan is looked at by: what does not is asked for again with less time,
 * or without that company of blocks.
 * @param solve answers a question; null where nothing keeps its limits
 */
export async function built(
  prepared: Prepared,
  setting: PlanSetting,
  solve: (ask: BuildAsk) => Promise<Built | null> | Built | null,
): Promise<Session | null> {
  let { ask } = prepared;
  for (let n = 0; n < mostTries; n++) {
    const found = await solve(ask);
    if (!found) return null;
    const { blocks, ids } = arranged(prepared, found.ids, setting);
    const evaluation = evaluatePlan(blocks, setting);
    const overS = Math.ceil(evaluation.time.totalS - prepared.mostS);
    const stopped = evaluation.warnings.filter(
      ({ rule, severity }) => severity !== 'note' && !given.has(rule),
    );
    if (overS <= 0 && stopped.length === 0) return { blocks, ids, worth: found.worth, evaluation, ask };
    const kept = new Set(ask.locked);
    // A block that is named goes; where it is the company it is in, that company goes.
    const named = stopped.flatMap(({ blockId }) => ids[blocks.findIndex(({ id }) => id === blockId)] ?? []);
    const free = named.filter((id) => !kept.has(id));
    const limit = free.length > 0 ? { ids: free, most: 0 } : { ids: found.ids, most: found.ids.length - 1 };
    // What the coach keeps stays, whatever care says of it: the plan shows that warning.
    if (overS <= 0 && found.ids.every((id) => kept.has(id)))
      return { blocks, ids, worth: found.worth, evaluation, ask };
    // Less than it took, not less than it might have taken: drinks came on top.
    const took = ask.options.reduce((sum, one) => sum + (found.ids.includes(one.id) ? one.seconds : 0), 0);
    ask = overS > 0 ? { ...ask, seconds: took - overS } : { ...ask, limits: [...ask.limits, limit] };
  }
  return null;
}
