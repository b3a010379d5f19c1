import { runsBefore, worthOf, type BuildAsk, type BuildOption } from '@/core/planning/build/model';
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

/** Blocks in the order they are run, with a drink where the rule of drinks says one is due. */
function arranged(
  prepared: Prepared,
  ids: readonly string[],
  setting: PlanSetting,
): Pick<Session, 'blocks' | 'ids' | 'evaluation'> {
  const options = new Map(prepared.ask.options.map((one) => [one.id, one]));
  // In the order of the list they were prepared in: what was begun keeps its own.
  const ordered = inOrder([...options.values()].filter(({ id }) => ids.includes(id)));
  const dry = ordered.map(({ id }) => prepared.blocks.get(id)!);
  const before = evaluatePlan(dry, setting);
  const due = new Map(
    before.warnings.flatMap(({ mend }) =>
      mend?.kind === 'break' ? [[mend.blockId, mend.seconds] as const] : [],
    ),
  );
  const blocks = dry.map((block) => ({ ...block, breakS: Math.max(block.breakS, due.get(block.id) ?? 0) }));
  return {
    blocks,
    ids: ordered.map(({ id }) => id),
    evaluation: due.size > 0 ? evaluatePlan(blocks, setting) : before,
  };
}

/** What was begun, as it stood; then by phase, what needs nothing warm first; in a phase, what shares its kit stands together. */
function inOrder(options: readonly BuildOption[]): BuildOption[] {
  const ordered = options.filter(({ begun }) => begun);
  const rest = options.filter(({ begun }) => !begun);
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
    const { blocks, ids, evaluation } = arranged(prepared, found.ids, setting);
    const chosen = ask.options.filter(({ id }) => ids.includes(id));
    const overS = Math.ceil(evaluation.time.totalS - prepared.mostS);
    const kept = new Set(ask.locked);
    const named = (blockId: string | null) => ids[blocks.findIndex(({ id }) => id === blockId)] ?? null;
    // What the coach keeps stays, whatever care says of it: the plan shows that warning.
    const stopped = evaluation.warnings.filter(
      ({ rule, severity, blockId }) =>
        severity !== 'note' && !given.has(rule) && !kept.has(named(blockId) ?? ''),
    );
    if (overS <= 0 && stopped.length === 0)
      return { blocks, ids, worth: worthOf(ask, chosen).total, evaluation, ask };
    // A block that is named goes; where it is the company it is in, that company goes.
    const bad = stopped.flatMap(({ blockId }) => named(blockId) ?? []);
    const limit = bad.length > 0 ? { ids: bad, most: 0 } : { ids: found.ids, most: found.ids.length - 1 };
    // Less than it took, not less than it might have taken: drinks came on top.
    const took = chosen.reduce((sum, { seconds }) => sum + seconds, 0);
    ask = overS > 0 ? { ...ask, seconds: took - overS } : { ...ask, limits: [...ask.limits, limit] };
  }
  return null;
}
