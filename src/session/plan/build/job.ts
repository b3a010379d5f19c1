import type { PlanSetting } from '../evaluate';
import { worthOf, type BuildAsk } from '@/core/plan/build/model';
import type { Place } from '@/core/venues/place';
import { makeBook, type BookContents } from '@/drills';
import { kitAtHand } from '@/drills/base/kit';
import type { PlanBlock } from '@/session/base/plan';
import { built, quickly, type Answer, type Session } from './build';
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

/** Answers a question as well as it can within the tolerance (of the worth). */
export type Solver = (ask: BuildAsk, tolerance: number) => Answer;

/** The solver looks this near first: it is soon done, and says nearly all. */
const within = 0.005;
/** A gap this small is none: what the solver's own arithmetic leaves. */
const noGap = 1e-5;

interface Way extends Pick<Proposal, 'proof' | 'gap'> {
  readonly session: Session;
  /** What it answers: the second way has a question of its own. */
  readonly asked: BuildAsk;
  /** What no session that was asked for can be worth more than; null where nobody knows. */
  readonly bound: number | null;
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
    proof,
    gap,
  });
  let solver: Solver | null = null;
  const ways: Way[] = [];
  const tellAll = (final: boolean) =>
    tell({ kind: 'proposals', proposals: ways.map((way) => shown(way, prepared)), final });

  /** Looks for a session: quickly, or by the solver where a tolerance is given, whichever finds the better one. */
  const look = (ask: BuildAsk, tolerance: number | null, from: readonly string[]) => {
    const quick = quickly(seed, from);
    return built({ ...prepared, ask }, setting, (asked) => {
      const soon = quick(asked);
      if (tolerance === null || !solver) return soon;
      const empty = worthOf(asked, []).total;
      const solved = solver(asked, tolerance * Math.max(0.01, (soon.built?.worth ?? empty + 1) - empty));
      const isSoonBetter = (soon.built?.worth ?? -Infinity) >= (solved.built?.worth ?? -Infinity);
      return isSoonBetter ? { ...soon, bound: solved.bound } : solved;
    });
  };

  // What was asked for and cannot be at all: no solver is needed to say so.
  const { must, options } = prepared.ask;
  if (must.some((drill) => !options.some((one) => one.drill === drill)))
    return tell({ kind: 'nothing', why: whyNothing(prepared, wish, book) });
  const first = look(prepared.ask, null, []).session;
  if (first) {
    ways.push(wayOf(first, prepared.ask, null, 'quick'));
    const other = otherThan(prepared.ask, first);
    const second = look(other, null, []).session;
    if (second) ways.push(wayOf(second, other, null, 'quick'));
    tellAll(false);
  }
  solver = await load();
  if (!first) {
    const { session, bound } = look(prepared.ask, within, []);
    if (!session) return tell({ kind: 'nothing', why: whyNothing(prepared, wish, book) });
    ways.push(wayOf(session, prepared.ask, bound, 'open'));
    tellAll(false);
  }
  for (const tolerance of [within, 0])
    for (const [n, before] of [...ways].entries()) {
      const isLast = tolerance === 0 && n === ways.length - 1;
      if (before.proof === 'proven') {
        if (isLast) tellAll(true);
        continue;
      }
      const { session, bound } = look(before.asked, tolerance, before.session.ids);
      // A look that came to no end takes nothing from what is known.
      const known = [bound, before.bound].filter((one) => one !== null);
      const better = session && session.worth > before.session.worth ? session : before.session;
      ways[n] = wayOf(better, before.asked, known.length > 0 ? Math.min(...known) : null, 'open');
      tellAll(isLast);
    }
}

/** A session with how far below the best it can be at most, as far as that is known. */
function wayOf(session: Session, asked: BuildAsk, bound: number | null, unknown: Proof): Way {
  if (bound === null) return { session, asked, bound, proof: unknown, gap: null };
  const gap = Math.max(0, bound - session.worth) / Math.max(0.01, bound - worthOf(asked, []).total);
  return { session, asked, bound, proof: gap <= noGap ? 'proven' : 'within', gap };
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
