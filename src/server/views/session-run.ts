import type { Book } from '@/drills';
import { shapeOf } from '@/session/court/begun';
import { stepBeside, workOnCourt } from '@/session/court/on-court';
import { workOf, type PlanBlock, type PlanPlayer, type Records } from '@/session/base/plan';
import { comeTo, timePlan } from '@/session/plan/time-plan';
import { asPlanned } from '@/core/counting/conditions';
import type { Attendance } from '@/core/players/attendance';
import type { Place } from '@/core/venues/place';
import type { TouchEvent } from '@/core/counting/event';
import { eventsOfBlocks } from '@/data/log';
import { kitCounts } from '@/data/places';
import { evidenceOn, type JudgedStep } from '@/data/results';
import { absentFrom, attendanceOf, getSession, playersOfSessions } from '@/data/session';
import { getPlayers, placesOf } from '@/data/squad';
import type { Context } from '../base/context';
import { runBlocks } from '../readers/blocks';
import { bookFor } from '../readers/book';
import { asThen, judgedKey, judgedStep, judgedSteps } from '../readers/judged';
import { careHistory, type CareDays } from '../readers/care-history';
import { buildId } from '../base/build-id';
import { momentIn, serverZone } from '../base/zone';
import { recentSince } from '../base/days';
import { placeNow, type LogPlace } from '../court/follow';

export type { LogPlace };
import { groundOf } from '../readers/ground';
import { resultsReady } from '../court/results';
import { presenceOf, saidIn } from '../readers/attendance';
import { playerFacts, playerName, type PlayerFacts, type PlayerName } from '../readers/player-facts';
import { recentRecords, stepsOf } from '../readers/records';
import { sessionFacts, type SessionFacts } from './session-facts';

export interface CareFacts {
  readonly records: Records;
  readonly history: Readonly<Record<string, CareDays>>;
  readonly place: Place | null;
  readonly kit: Readonly<Record<string, number>>;
}

/** What a player brings into a block: what was decided for them, and the best they ever did on its step. */
export interface RunPlayer {
  readonly playerId: string;
  /** What was decided for the step they work on; null where nothing was. */
  readonly target: number | null;
  readonly bestEver: number | null;
  /** The best they ever did on the steps they could be moved to on court, by step. */
  readonly bestOn?: Readonly<Record<string, number>>;
}

export interface RunBlock extends PlanBlock {
  readonly players: readonly RunPlayer[];
  /** Turns at the stations, and the seconds one of them works. */
  readonly turns: number;
  readonly turnS: number;
  /** How many work at once. */
  readonly atOnce: number;
}

export interface SessionRunView {
  readonly session: SessionFacts;
  /** The coach's own day, local ISO. */
  readonly today: string;
  /** Who comes, each with the number they have on the list of the session: who is absent keeps theirs. */
  readonly players: readonly (PlayerFacts & { readonly number: number })[];
  readonly blocks: readonly RunBlock[];
  readonly events: readonly TouchEvent[];
  /** The place in the server's log up to which `events` reaches: what comes after is followed from there. */
  readonly logEnd: LogPlace;
  /** Which build made this page. */
  readonly build: string;
  /** Who is absent, under a short name, and what was said of everybody. */
  readonly presence: string;
  readonly attendance: Readonly<Record<string, Attendance>>;
  /** Everybody on the list, also who is absent. */
  readonly listed: readonly PlayerName[];
  /** When the booking begins, UTC milliseconds. */
  readonly bookedStartMs: number;
  /** What the care rules look at besides. */
  readonly care: CareFacts;
}

export async function sessionRunView(context: Context, id: string): Promise<SessionRunView | null> {
  const { db } = context;
  const session = await getSession(db, id);
  if (!session) return null;
  await resultsReady(db);
  const [planned, playersOf, attendance, absent, book] = await Promise.all([
    runBlocks(db, [id]),
    playersOfSessions(db, [id]),
    attendanceOf(db, [id]),
    absentFrom(db, [id]),
    bookFor(db, session.coach),
  ]);
  const listed = playersOf.get(id) ?? [];
  const playerIds = listed.filter((one) => !absent.some(({ playerId }) => playerId === one));
  const blockIds = planned.map((block) => block.id);
  // Read before the events: what is stored in between comes twice rather than never.
  const logEnd = await placeNow(context);
  const people = await getPlayers(db, listed);
  const everybody = listed.flatMap((one) => people.find((person) => person.id === one) ?? []);
  const facts = new Map(people.map((player) => [player.id, playerFacts(player, session.day)]));
  const coming = playerIds
    .flatMap((player) => facts.get(player) ?? [])
    .map((player) => ({ ...player, number: listed.indexOf(player.id) + 1 }));
  const beside = stepsBeside(book, planned, coming);
  const judged = [...judgedSteps(book, planned, coming), ...beside.map((one) => one.judged)];
  const [places, events, evidence, records, history, ground, kit] = await Promise.all([
    placesOf(db, playerIds),
    eventsOfBlocks(db, blockIds),
    evidenceOn(db, judged, session, recentSince(session.day)),
    recentRecords(db, playerIds, stepsOf(book, planned, playerIds), session.day),
    careHistory(db, book, playerIds, session),
    groundOf(db),
    kitCounts(db),
  ]);
  const shown = new Map(evidence.map((one) => [one.key, one.bestBefore]));
  const here = ground(session.placeId);
  const time = timePlan(book, planned, coming, records, session.bookedMin, here);

  const blocks = planned.map<RunBlock>((block) => {
    const players = playerIds.flatMap<RunPlayer>((playerId) => {
      const work = workOf(book, block, playerId);
      if (!work || work.out) return [];
      const bestEver = shown.get(judgedKey(block.id, playerId)) ?? null;
      const bestOn = Object.fromEntries(
        beside.flatMap((one) => {
          const best =
            one.blockId === block.id && one.playerId === playerId ? shown.get(one.judged.key) : null;
          return best === null || best === undefined ? [] : [[one.judged.stepId, best]];
        }),
      );
      const decided = places.find(
        (one) => one.playerId === playerId && one.drillId === block.drillId && one.stepId === work.step.id,
      );
      return [{ playerId, bestEver, bestOn, target: decided?.target ?? null }];
    });
    const timed = time.blocks.find((one) => one.id === block.id);
    const comers = comeTo(
      block,
      players.map(({ playerId }) => playerId),
    );
    return { ...block, players, ...shapeOf(timed, comers) };
  });
  return {
    session: sessionFacts(session),
    today: context.today,
    players: coming,
    blocks,
    events,
    logEnd,
    build: buildId(),
    presence: presenceOf(absent),
    attendance: saidIn(attendance, id),
    listed: everybody.map(playerName),
    bookedStartMs: momentIn(session.day, session.startTime, context.zone ?? serverZone()),
    care: { records, history, place: here.place, kit },
  };
}

interface Beside {
  readonly blockId: string;
  readonly playerId: string;
  readonly judged: JudgedStep;
}

/** The steps next to each player's own that they can be moved to in the middle of a block: two up, two back. */
function stepsBeside(book: Book, blocks: readonly PlanBlock[], players: readonly PlanPlayer[]): Beside[] {
  return blocks.flatMap((block) =>
    players.flatMap((player) => {
      const work = workOf(book, block, player.id);
      if (!work || work.out) return [];
      const then = asThen(block, player);
      return (['up', 'back'] as const).flatMap((way) => {
        const first = stepBeside(work.drill, work.step, way);
        const second = first && stepBeside(work.drill, first, way);
        return [first, second].flatMap((step) => {
          const moved = step && workOnCourt(book, block, then, { ...asPlanned, stepId: step.id });
          if (!moved) return [];
          const key = `${judgedKey(block.id, player.id)} ${moved.step.id}`;
          return [{ blockId: block.id, playerId: player.id, judged: judgedStep(book, key, then, moved) }];
        });
      });
    }),
  );
}
