import { drinkS } from '@/core/care/limits';
import { worthOf, type BuildAsk } from '@/core/plan/build/model';
import { runsBefore, type BuildOption } from '@/core/plan/build/option';
import { buildQuickly, type Built } from '@/core/plan/build/search';
import { inStretches, type Stretches } from '@/core/plan/build/stretches';
import { evaluatePlan, type Evaluation, type PlanSetting } from '../evaluate';
import type { PlanBlock } from '@/session/base/plan';
import { settled } from '../settled';
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
  // In the order of the list they were prepared in: what was begun keeps its own.
  const chosen = prepared.ask.options.filter(({ id }) => ids.includes(id));
  const usual = withDrinks(prepared, inOrder(chosen), setting);
  const stretches = stretchesFor(prepared, tookBy(chosen));
  if (usual.evaluation.time.totalS <= prepared.mostS || !stretches) return usual;
  // Over only by a drink that another order needs no longer.
  const other = inStretches(chosen, stretches);
  return other ? withDrinks(prepared, other, setting) : usual;
}

const tookBy = (chosen: readonly BuildOption[]): number =>
  chosen.reduce((sum, { seconds }) => sum + seconds, 0);

/** The stretches there are between as many drinks as so many seconds of work leave time for. */
const stretchesFor = ({ mostS, stretchS }: Prepared, workS: number): Stretches | null =>
  stretchS === null || workS > mostS
    ? null
    : { count: 1 + Math.floor((mostS - workS) / drinkS), seconds: stretchS };

function withDrinks(
  prepared: Prepared,
  chosen: readonly BuildOption[],
  setting: PlanSetting,
): Pick<Session, 'blocks' | 'ids' | 'evaluation'> {
  const optionOf = new Map(chosen.map((one) => [prepared.blocks.get(one.id)!.id, one]));
  const dry = settled(
    chosen.map(({ id }) => prepared.blocks.get(id)!),
    setting.players.map(({ id }) => id),
  );
  // The stations of a kept circuit stand together again.
  const ordered = dry.map(({ id }) => optionOf.get(id)!);
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

/** What a question is answered with, null where nothing was found, and what no answer to it can be worth more than. */
export interface Answer {
  readonly built: Built | null;
  /** Null where nobody knows; -Infinity where nothing keeps its limits. */
  readonly bound: number | null;
}
export type Solve = (ask: BuildAsk) => Answer;

/** A session, or none, and what none can be worth more than. */
interface Tried {
  readonly session: Session | null;
  readonly bound: number | null;
}

/**
 * Builds until what was built passes the rules the plan is looked at by: what does not is asked for again without that
 * block or that company of blocks; what needs more drinks than were reckoned with, once as it fits between these and once
 * with the time that one more leaves.
 */
export function built(prepared: Prepared, setting: PlanSetting, solve: Solve): Tried {
  return attempt(prepared, setting, solve, prepared.ask, mostTries);
}

function attempt(
  prepared: Prepared,
  setting: PlanSetting,
  solve: Solve,
  ask: BuildAsk,
  tries: number,
): Tried {
  const { built: found, bound } = solve(ask);
  if (!found || tries === 0) return { session: null, bound };
  const again = (next: BuildAsk) => attempt(prepared, setting, solve, next, tries - 1);
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
  if (overS > 0) {
    // Less than it took, not less than it might have taken: drinks came on top.
    const looser = again({ ...ask, stretches: null, seconds: tookBy(chosen) - overS });
    const stretches = ask.stretches ? null : stretchesFor(prepared, ask.seconds);
    if (!stretches) return { ...looser, bound };
    return better(again({ ...ask, stretches }), looser, bound);
  }
  if (stopped.length === 0)
    return { session: { blocks, ids, worth: worthOf(ask, chosen).total, evaluation, ask }, bound };
  // A block that is named goes; where it is the company it is in, that company goes.
  const bad = stopped.flatMap(({ blockId }) => named(blockId) ?? []);
  const limit = bad.length > 0 ? { ids: bad, most: 0 } : { ids: found.ids, most: found.ids.length - 1 };
  // What the rules forbid was not forbidden in the question: what it allows stays the bound.
  return { ...again({ ...ask, limits: [...ask.limits, limit] }), bound };
}

/** Of two ways that are all there are the better session, and what neither can be worth more than. */
function better(one: Tried, other: Tried, most: number | null): Tried {
  const [a, b] = [one.session?.worth ?? -Infinity, other.session?.worth ?? -Infinity];
  const isKnown = one.bound !== null && other.bound !== null;
  return {
    session: a > b ? one.session : other.session,
    bound: isKnown ? Math.min(most ?? Infinity, Math.max(one.bound, other.bound)) : most,
  };
}

/** A quick search as an answer: nobody knows how much better there is, and drinks are not looked at. */
export const quickly =
  (effort: number, from: readonly string[] = []): Solve =>
  (ask) => ({ built: ask.stretches ? null : buildQuickly(ask, effort, from), bound: null });
