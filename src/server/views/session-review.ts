import { decidedOn, differs, readEvidence, type DecidedOn } from '@/session/skill/evidence';
import type { PlanBlock } from '@/session/base/plan';
import type { Attendance } from '@/core/players/attendance';
import { better } from '@/core/counting/measure';
import { summaryOf, type Summary } from '@/core/counting/tally';
import { groupBy } from '@/core/base/group-by';
import type { Dose } from '@/core/dose/dose';
import type { FourSchools } from '@/core/skill/four-schools';
import type { Gate, Verdict } from '@/core/skill/next-target';
import { attemptsOfBlocks } from '@/data/log';
import { attendanceOf, getSession, playersOfSessions } from '@/data/session';
import { decisionsOfBlocks, getPlayers } from '@/data/squad';
import type { Context } from '../base/context';
import { runBlocks } from '../readers/blocks';
import { saidIn } from '../readers/attendance';
import { bookFor } from '../readers/book';
import { sessionNotes, type SessionNotes } from '../readers/notes';
import { proposalsIn } from '../readers/proposals';
import { skillUntil } from '../readers/skill';
import { remarksOf, type Remark } from '../readers/remarks';
import { resultsReady } from '../court/results';
import { playerFacts, type PlayerFacts } from '../readers/player-facts';
import { vowOffers, type VowOffer } from '../readers/vow-offers';
import { sessionFacts, type SessionFacts } from './session-facts';

/** What one player did in one block, and what comes next. */
export interface ReviewLine {
  readonly playerId: string;
  /** The step they were on, and how much of it. */
  readonly stepId: string;
  readonly dose: Dose;
  /** The step's mark under that dose. */
  readonly gate: Gate;
  /** Done as a whole and not counted: there is nothing to judge. */
  readonly whole: boolean;
  /** How many attempts were counted aloud, and how many were put right afterwards. */
  readonly reported: number;
  readonly fixed: number;
  /** How many are shorter than they can be, and wait for the coach’s word. */
  readonly doubtful: number;
  /** How many were heard, and how many come from a clip. */
  readonly heard: number;
  readonly seen: number;
  /** What was noted on court. */
  readonly remarks: readonly Remark[];
  readonly tally: Summary & { readonly results: readonly (number | null)[] };
  /** Best on this step before this session's day; null when there was none. */
  readonly bestBefore: number | null;
  readonly bestEver: boolean;
  /** What each school says of it, and which of them proposes. */
  readonly schools: FourSchools;
  /** Where up and back lead, and the gate there. */
  readonly leads: Readonly<Record<Verdict, { readonly stepId: string; readonly target: number }>>;
  readonly decided: {
    readonly verdict: Verdict;
    readonly target: number;
    readonly overridden: boolean;
    /** What it was decided on, where that is no longer what there is: counts were put right since. */
    readonly was: DecidedOn | null;
  } | null;
}

export interface ReviewBlock extends PlanBlock {
  readonly lines: readonly ReviewLine[];
}

export interface SessionReviewView {
  /** The coach's own day. */
  readonly today: string;
  /** What was said of who came, by player. */
  readonly attendance: Readonly<Record<string, Attendance>>;
  readonly session: SessionFacts;
  readonly players: readonly PlayerFacts[];
  readonly blocks: readonly ReviewBlock[];
  /** What was written about it at the desk, and how its questions were answered. */
  readonly written: SessionNotes;
  /** A step each player could promise until the next time, from what they were proposed. */
  readonly vows: readonly VowOffer[];
}

export async function sessionReviewView(context: Context, id: string): Promise<SessionReviewView | null> {
  const { db } = context;
  const session = await getSession(db, id);
  if (!session) return null;
  await resultsReady(db);
  const [planned, playersOf, book, skill] = await Promise.all([
    runBlocks(db, [id]),
    playersOfSessions(db, [id]),
    bookFor(db, session.coach),
    skillUntil(db, session.day),
  ]);
  const playerIds = playersOf.get(id) ?? [];
  const blockIds = planned.map((block) => block.id);
  const [people, attempts, decisions, said, attendance, written] = await Promise.all([
    getPlayers(db, playerIds),
    attemptsOfBlocks(db, blockIds),
    decisionsOfBlocks(db, blockIds),
    remarksOf(db, blockIds),
    attendanceOf(db, [id]),
    sessionNotes(db, id),
  ]);
  const facts = new Map(people.map((player) => [player.id, playerFacts(player, session.day)]));
  const coming = playerIds.flatMap((player) => facts.get(player) ?? []);
  const judging = { book, skill, session, blocks: planned, players: coming, attempts };
  const proposalFor = await proposalsIn(db, judging);
  const done = groupBy(attempts, (attempt) => `${attempt.blockId} ${attempt.playerId}`);

  const reviewBlock = (block: PlanBlock): ReviewBlock => {
    const lines = coming.flatMap<ReviewLine>((player) => {
      const playerId = player.id;
      const own = done.get(`${block.id} ${playerId}`);
      const proposal = own && proposalFor(block, player);
      if (!proposal) return [];
      const { work, goals, judged, schools, leads, shown, onStep } = proposal;
      const { step, dose } = work;
      const gate = goals.mark;
      // Touches are of the whole block; bests and attempts of the step they were made on.
      const summary = { ...summaryOf(own, step.measure), best: summaryOf(onStep, step.measure).best };
      const bestBefore = shown?.bestBefore ?? null;
      const decided = decisions.find((d) => d.blockId === block.id && d.playerId === playerId);
      const results = onStep.map((attempt) => attempt.result);
      const on = readEvidence(decided?.evidence ?? null);
      const was = on && differs(on, decidedOn(judged, schools.byDefault, results)) ? on : null;
      return [
        {
          playerId,
          stepId: step.id,
          dose,
          gate,
          tally: { ...summary, results },
          whole: own.every((attempt) => attempt.result === null && attempt.drops === 0 && !attempt.doubtful),
          reported: own.filter((attempt) => attempt.reported && !attempt.origin).length,
          fixed: own.filter((attempt) => attempt.fixed).length,
          doubtful: own.filter((attempt) => attempt.doubtful).length,
          heard: own.filter(({ origin }) => origin?.startsWith('ear')).length,
          seen: own.filter(({ origin }) => origin?.startsWith('clip')).length,
          remarks: said.filter((one) => one.blockId === block.id && one.playerId === playerId),
          bestBefore,
          // A first result has beaten nothing.
          bestEver:
            bestBefore !== null &&
            summary.best !== bestBefore &&
            better(step.measure, bestBefore, summary.best) === summary.best,
          schools,
          leads,
          decided: decided
            ? { verdict: decided.verdict, target: decided.target, overridden: decided.overridden, was }
            : null,
        },
      ];
    });
    return { ...block, lines };
  };
  const reviewed = planned.map(reviewBlock);
  const vows = await vowOffers(
    db,
    book,
    context.today,
    reviewed.flatMap(({ drillId, lines }) =>
      lines
        .filter(({ whole }) => !whole)
        .map(({ playerId, schools, leads, decided }) => {
          const verdict = decided?.verdict ?? schools.byDefault.verdict;
          return { playerId, drillId, stepId: leads[verdict].stepId, stays: verdict !== 'up' };
        }),
    ),
  );
  return {
    today: context.today,
    session: sessionFacts(session),
    attendance: saidIn(attendance, id),
    players: coming,
    written,
    vows,
    blocks: reviewed,
  };
}
