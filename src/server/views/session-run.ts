import { gateFor } from '@/catalogue/gate';
import { timePlan, workOf, type PlanBlock, type Records } from '@/catalogue/plan';
import type { CarePlayer } from '@/core/care/care';
import type { Place } from '@/core/place/place';
import type { TouchEvent } from '@/core/counting/event';
import { eventsOfBlocks } from '@/data/log';
import { kitCounts } from '@/data/places';
import { evidenceOn } from '@/data/results';
import { blockPlayers, getSession, playersOfSessions } from '@/data/session';
import { getPlayers } from '@/data/squad';
import type { Context } from '../context';
import { plannedBlocks } from '../blocks';
import { bookFor } from '../book';
import { judgedKey, judgedSteps } from '../decisions';
import { careHistory } from '../care-history';
import { recentSince } from '../days';
import { groundOf } from '../ground';
import { refreshAttempts } from '../results';
import { playerFacts, type PlayerFacts } from './player-facts';
import { recentRecords, stepsOf } from './records';
import { sessionFacts, type SessionFacts } from './session-facts';

export interface CareFacts {
  readonly records: Records;
  readonly history: Readonly<Record<string, Pick<CarePlayer, 'weekLoad' | 'lastDone'>>>;
  readonly place: Place | null;
  readonly kit: Readonly<Record<string, number>>;
}

/** What a player brings into a block: their own target and the best they ever did on its step. */
export interface RunPlayer {
  readonly playerId: string;
  readonly target: number;
  readonly bestEver: number | null;
}

export interface RunBlock extends PlanBlock {
  readonly players: readonly RunPlayer[];
  /** Turns at the stations, and the seconds one of them works. */
  readonly turns: number;
  readonly turnS: number;
}

export interface SessionRunView {
  readonly session: SessionFacts;
  readonly players: readonly PlayerFacts[];
  readonly blocks: readonly RunBlock[];
  readonly events: readonly TouchEvent[];
  /** What the care rules look at besides. */
  readonly care: CareFacts;
}

export async function sessionRunView(context: Context, id: string): Promise<SessionRunView | null> {
  const { db } = context;
  const session = await getSession(db, id);
  if (!session) return null;
  await refreshAttempts(db);
  const [planned, playersOf, book] = await Promise.all([
    plannedBlocks(db, [id]),
    playersOfSessions(db, [id]),
    bookFor(db, session.coach),
  ]);
  const playerIds = playersOf.get(id) ?? [];
  const blockIds = planned.map((block) => block.id);
  const [people, own, events, evidence, records, history, ground, kit] = await Promise.all([
    getPlayers(db, playerIds),
    blockPlayers(db, blockIds),
    eventsOfBlocks(db, blockIds),
    evidenceOn(db, judgedSteps(book, planned, playerIds), session, recentSince(session.day)),
    recentRecords(db, playerIds, stepsOf(book, planned, playerIds), session.day),
    careHistory(db, book, playerIds, session),
    groundOf(db),
    kitCounts(db),
  ]);
  const facts = new Map(people.map((player) => [player.id, playerFacts(player, context.today)]));
  const coming = playerIds.flatMap((player) => facts.get(player) ?? []);
  const here = ground(session.placeId);
  const time = timePlan(book, planned, coming, records, session.bookedMin, here);

  const blocks = planned.map<RunBlock>((block) => {
    const players = playerIds.flatMap<RunPlayer>((playerId) => {
      const work = workOf(book, block, playerId);
      if (!work || work.out) return [];
      const bestEver = evidence.find((one) => one.key === judgedKey(block.id, playerId))?.bestBefore ?? null;
      const target = own.find((row) => row.blockId === block.id && row.playerId === playerId)?.target;
      return [{ playerId, bestEver, target: target ?? gateFor(work.step, work.dose).result }];
    });
    const timed = time.blocks.find((one) => one.id === block.id);
    const turns = timed?.turns ?? 1;
    return { ...block, players, turns, turnS: (timed?.activeS ?? 0) / turns };
  });
  return {
    session: sessionFacts(session),
    players: coming,
    blocks,
    events,
    care: { records, history, place: here.place, kit },
  };
}
