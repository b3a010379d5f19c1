import { makeBook } from '@/drills';
import { resultInWords } from '@/core/counting/measure';
import { goalsOf } from '@/session/base/goals';
import { workOf } from '@/session/base/plan';
import { timePlan } from '@/session/plan/time-plan';
import type { Attendance } from '@/core/players/attendance';
import { drawnTime, type DrawnTime } from '@/core/plan/plan-time';
import {
  absentFrom,
  anySessionBegun,
  attendanceOf,
  playersOfSessions,
  sessionsBefore,
  sessionsBetween,
  sessionsUnsaid,
} from '@/data/session';
import { kitCounts, listPlaces } from '@/data/places';
import { fromHomeSince } from '@/data/vows';
import { getPlayers, placesOf, listPlayers } from '@/data/squad';
import type { Context } from '../base/context';
import { plannedBlocks } from '../readers/blocks';
import { bookContents } from '../readers/book';
import { dayAfter } from '../base/days';
import { groundOf } from '../readers/ground';
import { resultsReady } from '../court/results';
import { playerFacts, playerName, type PlayerFacts, type PlayerName } from '../readers/player-facts';
import { recentRecords, stepsOf } from '../readers/records';
import { saidIn } from '../readers/attendance';
import { sessionFacts, type SessionFacts } from './session-facts';

export interface SessionLine extends SessionFacts {
  readonly players: readonly string[];
  readonly blockCount: number;
}

export interface ComingPlayer extends PlayerFacts {
  readonly attendance: Attendance | null;
  /** The first target waiting for them in this session's blocks; null when there is none. */
  readonly target: {
    readonly drill: string;
    readonly step: string;
    /** The aim in words: "8 in a row". */
    readonly text: string;
    readonly reason: string;
  } | null;
}

export interface TodaySession extends SessionLine {
  /** The blocks' drills, by name. */
  readonly titles: readonly string[];
  readonly time: DrawnTime;
  readonly coming: readonly ComingPlayer[];
}

/** How far a new book has come; see {@link TodayView.start}. */
export interface Start {
  readonly places: number;
  /** Things of the kit that are counted. */
  readonly kit: number;
  /** The next session that is planned; null where there is none. */
  readonly session: { readonly id: string; readonly title: string; readonly blocks: number } | null;
}

export interface TodayView {
  /** The way to the first session; null once one was begun. */
  readonly start: Start | null;
  readonly today: string;
  readonly squad: readonly PlayerName[];
  readonly sessions: readonly TodaySession[];
  readonly next: readonly SessionLine[];
  /** Sessions whose day is over and which nobody has run. */
  readonly unsaid: readonly SessionLine[];
  readonly last: readonly SessionLine[];
  /** What came back from home since the last session, by child. */
  readonly fromHome: readonly FromHomeLine[];
}

/** What one child did at home since the last session. */
export interface FromHomeLine {
  readonly playerId: string;
  readonly name: string;
  readonly days: number;
  readonly touches: number;
  /** The last line they sent; empty where they sent none. */
  readonly text: string;
}

export async function todayView(context: Context): Promise<TodayView> {
  const { db, today } = context;
  await resultsReady(db);
  const [squad, soon, last, unsaid, contents, ground] = await Promise.all([
    listPlayers(db),
    sessionsBetween(db, today, dayAfter(today, 14)),
    sessionsBefore(db, today, 2),
    sessionsUnsaid(db, today),
    bookContents(db),
    groundOf(db),
  ]);
  const lastDay = last[0]?.day ?? dayAfter(today, -7);
  const home = await fromHomeSince(db, lastDay);
  const all = [...soon, ...last, ...unsaid];
  const ids = all.map((session) => session.id);
  const [playersOf, blocks] = await Promise.all([playersOfSessions(db, ids), plannedBlocks(db, ids)]);
  const todays = blocks.filter((block) =>
    soon.some((session) => session.id === block.sessionId && session.day === today),
  );
  const playerIds = [...new Set([...playersOf.values()].flat())];
  const house = makeBook(contents);
  const [players, records, places, attendance, absent] = await Promise.all([
    getPlayers(db, playerIds),
    recentRecords(db, playerIds, stepsOf(house, todays, playerIds), today),
    placesOf(db, playerIds),
    attendanceOf(db, ids),
    absentFrom(db, ids),
  ]);
  const saidOf = (sessionId: string) => saidIn(attendance, sessionId);
  const isHere = (sessionId: string, playerId: string) =>
    !absent.some((one) => one.sessionId === sessionId && one.playerId === playerId);
  const facts = new Map(players.map((player) => [player.id, playerFacts(player, today)]));

  const line = (session: (typeof all)[number]): SessionLine => ({
    ...sessionFacts(session),
    players: (playersOf.get(session.id) ?? []).map((id) => facts.get(id)?.name ?? ''),
    blockCount: blocks.filter((block) => block.sessionId === session.id).length,
  });
  const whole = (session: (typeof all)[number]): TodaySession => {
    const book = makeBook(contents, session.coach);
    const own = blocks.filter((block) => block.sessionId === session.id);
    const coming = playersOf.get(session.id) ?? [];
    const targetOf = (playerId: string) => {
      // The loosening comes first but is nobody's aim.
      for (const block of own.filter(({ drillId }) => book.drill(drillId)?.family !== 'loosen')) {
        const work = workOf(book, block, playerId);
        const stepId = work?.step.id;
        const place = places.find(
          (one) => one.playerId === playerId && one.drillId === block.drillId && one.stepId === stepId,
        );
        if (!place || !work) continue;
        const { aim } = goalsOf(work, facts.get(playerId)?.age ?? 10, place.target);
        const { drill, step } = work;
        const text = resultInWords(step.measure, aim);
        return { drill: drill.title, step: step.title, text, reason: place.why };
      }
      return null;
    };
    return {
      ...line(session),
      titles: own.map((block) => book.drill(block.drillId)?.title ?? ''),
      time: drawnTime(
        timePlan(
          book,
          own,
          coming.filter((id) => isHere(session.id, id)).flatMap((id) => facts.get(id) ?? []),
          records,
          session.bookedMin,
          ground(session.placeId),
        ),
      ),
      coming: coming.flatMap((id) => {
        const player = facts.get(id);
        const attendance = saidOf(session.id)[id] ?? null;
        return player ? [{ ...player, attendance, target: targetOf(id) }] : [];
      }),
    };
  };
  return {
    start: await startOf(context, soon.map(line)),
    today,
    squad: squad.map(playerName),
    sessions: soon.filter((session) => session.day === today).map(whole),
    next: soon
      .filter((session) => session.day > today)
      .slice(0, 2)
      .map(line),
    unsaid: unsaid.map(line),
    last: last.filter((one) => !unsaid.some(({ id }) => id === one.id)).map(line),
    fromHome: home.map(([playerId, name, days, touches, text]) => ({ playerId, name, days, touches, text })),
  };
}

async function startOf({ db }: Context, coming: readonly SessionLine[]): Promise<Start | null> {
  if (await anySessionBegun(db)) return null;
  const [places, kit] = await Promise.all([listPlaces(db), kitCounts(db)]);
  const next = coming.find((session) => session.blockCount > 0) ?? coming[0];
  return {
    places: places.length,
    kit: Object.keys(kit).length,
    session: next ? { id: next.id, title: next.title, blocks: next.blockCount } : null,
  };
}
