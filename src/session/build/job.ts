import type { PlanSetting } from '../evaluate';
import { buildQuickly, type Built } from '@/core/planning/build/search';
import { worthOf, type BuildAsk } from '@/core/planning/build/model';
import type { Place } from '@/core/place/place';
import { makeBook, type BookContents } from '@/drills';
import { kitAtHand } from '@/drills/kit';
import type { PlanBlock } from '../plan';
import { built, type Session } from './build';
import type { ChildFacts } from './needs';
import { prepare, type Prepared, type Wish } from './options';
import { leftOutOf, reasonOf, whyNothing, type BlockReason, type LeftOut } from './reasons';

/** Everything a session is built from, as it goes to a worker. */
export interface BuildJob extends Pick<
  PlanSetting,
  'players' | 'records' | 'bookedMin' | 'startTime' | 'airC'
> {
  readonly contents: BookContents;
  readonly coach: string;
  readonly place: Place | null;
  readonly kit: Readonly<Record<string, number>>;
  readonly facts: readonly ChildFacts[];
  /** The step each player stands on: player, drill, step. */
  readonly standing: readonly (readonly [string, string, string])[];
  readonly wish: Wish;
  /** The same question and number give the same session. */
  readonly seed: number;
}

/**
 * How sure it is that there is no better one: nobody has looked (`quick`), it is at most so far below the best (`within`),
 * it is the best (`proven`), or the time ran out (`open`).
 */
export type Proof = 'quick' | 'within' | 'proven' | 'open';

/** A session to look at, with its reasons. */
export interface Proposal {
  readonly blocks: readonly PlanBlock[];
  readonly reasons: readonly BlockReason[];
  readonly leftOut: readonly LeftOut[];
  /** What it is worth over no session at all. */
  readonly worth: number;
  readonly proof: Proof;
  /** How far below the best possible it can be at most, as a share of what the best brings; null where nobody knows. */
  readonly gap: number | null;
}

/** What comes of it: two ways, the best first and one that shares at most half its drills; or why there is none. */
export type BuildNews =
  | { readonly kind: 'proposals'; readonly proposals: readonly Proposal[]; readonly final: boolean }
  | { readonly kind: 'nothing'; readonly why: string };

/** Answers a question as well as it can within the tolerance (of the worth); null where nothing keeps its limits. */
export type Solver = (
  ask: BuildAsk,
  tolerance: number,
) => { readonly built: Built; readonly proven: boolean } | null;

/** The solver looks this near first: it is soon done, and says nearly all. */
const within = 0.005;
/** A gap this small is none: what the solver's own arithmetic leaves. */
const noGap = 1e-5;

interface Way extends Pick<Proposal, 'proof' | 'gap'> {
  readonly session: Session;
}

/**
 * Builds two ways and tells of them as they get better: at once what is built quickly, then what a solver makes of it, to
 * half a percent and then to the end.
 * @param load brings the solver, once it is needed
 */
export async function answerBuild(
  job: BuildJob,
  tell: (news: BuildNews) => void,
  load: () => Promise<Solver>,
): Promise<void> {
  const { contents, coach, place, kit, facts, standing, wish, seed, ...rest } = job;
  const book = makeBook(contents, coach);
  const setting: PlanSetting = { ...rest, book, ground: { place, atHand: kitAtHand(kit) } };
  const at = new Map(standing.map(([playerId, drillId, stepId]) => [`${playerId} ${drillId}`, stepId]));
  const prepared = prepare(setting, facts, (drillId) => (id) => at.get(`${id} ${drillId}`), wish);
  const names = job.players.map(({ name }) => name.split(' ')[0]!);

  const shown = ({ session, proof, gap }: Way, of: Prepared): Proposal => ({
    blocks: session.blocks,
    reasons: session.ids.map((id) => {
      const option = of.ask.options.find((one) => one.id === id)!;
      const { drillId } = of.blocks.get(id)!;
      return reasonOf(option, of.needs.get(drillId)!, names, book.drill(drillId)!.helper);
    }),
    leftOut: leftOutOf(of, session.ask, session.ids, book),
    worth: session.worth - worthOf(session.ask, []).total,
    ...{ proof, gap },
  });
  let solver: Solver | null = null;
  const ways: Way[] = [];
  const asks: BuildAsk[] = [];
  const tellAll = (final: boolean) =>
    tell({ kind: 'proposals', proposals: ways.map((way) => shown(way, prepared)), final });

  /** One way, from a question: built quickly, or by the solver, whichever is better. */
  const way = async (
    ask: BuildAsk,
    tolerance: number | null,
    from: readonly string[],
  ): Promise<Way | null> => {
    // What the question allows before any rule takes from it: nothing that passes them can be worth more.
    let bound: number | null = null;
    const session = await built({ ...prepared, ask }, setting, (asked) => {
      const quick = buildQuickly(asked, seed, from);
      if (tolerance === null || !solver) return quick;
      const empty = worthOf(asked, []).total;
      const slack = tolerance * Math.max(0.01, (quick?.worth ?? empty + 1) - empty);
      const solved = solver(asked, slack);
      if (!solved) return quick;
      if (asked === ask && solved.proven) bound = solved.built.worth + slack;
      return quick && quick.worth >= solved.built.worth ? quick : solved.built;
    });
    if (!session) return null;
    if (tolerance === null) return { session, proof: 'quick', gap: null };
    if (bound === null) return { session, proof: 'open', gap: null };
    const gap = Math.max(0, bound - session.worth) / Math.max(0.01, bound - worthOf(ask, []).total);
    return { session, proof: gap <= noGap ? 'proven' : 'within', gap };
  };

  // What was asked for and cannot be at all: no solver is needed to say so.
  const { must, options } = prepared.ask;
  if (must.some((drill) => !options.some((one) => one.drill === drill)))
    return tell({ kind: 'nothing', why: whyNothing(prepared, wish, book) });
  const first = await way(prepared.ask, null, []);
  if (first) {
    ways.push(first);
    asks.push(prepared.ask);
    const second = await way(otherThan(prepared.ask, first.session), null, []);
    if (second) {
      ways.push(second);
      asks.push(otherThan(prepared.ask, first.session));
    }
    tellAll(false);
  }
  solver = await load();
  if (!first) {
    const found = await way(prepared.ask, within, []);
    if (!found) return tell({ kind: 'nothing', why: whyNothing(prepared, wish, book) });
    ways.push(found);
    asks.push(prepared.ask);
    tellAll(false);
  }
  for (const tolerance of [within, 0])
    for (const [n, before] of [...ways].entries()) {
      const better = await way(asks[n]!, tolerance, before.session.ids);
      if (better) ways[n] = better;
      tellAll(tolerance === 0 && n === ways.length - 1);
    }
}

/** The same question for another session: at most half of the drills of one, what is kept aside. */
function otherThan(ask: BuildAsk, { ids }: Session): BuildAsk {
  const free = ids.filter((id) => !ask.locked.includes(id));
  const drills = new Set(ask.options.filter(({ id }) => free.includes(id)).map(({ drill }) => drill));
  const same = ask.options.filter(({ id, drill }) => drills.has(drill) && !ask.locked.includes(id));
  return {
    ...ask,
    limits: [...ask.limits, { ids: same.map(({ id }) => id), most: Math.floor(drills.size / 2) }],
  };
}
