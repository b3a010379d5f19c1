import { findDrill } from '@/catalogue';
import { timePlan, type PlanBlock } from '@/catalogue/plan';
import type { PlanTime } from '@/core/planning/plan-time';
import { blocksOfSessions, playersOfSessions, sessionsBefore, sessionsBetween } from '@/data/session';
import { getPlayers, placesOf, listPlayers } from '@/data/squad';
import type { Context } from '../context';
import { dayAfter } from '../days';
import { refreshAttempts } from '../results';
import { playerFacts, playerName, type PlayerFacts, type PlayerName } from './player-facts';
import { planBlock, recentRecords, sessionFacts, type SessionFacts } from './session-plan';

export interface SessionLine extends SessionFacts {
  readonly players: readonly string[];
  readonly blockCount: number;
}

export interface ComingPlayer extends PlayerFacts {
  /** The first target waiting for them in this session's blocks; null when there is none. */
  readonly target: {
    readonly drillId: string;
    readonly stepId: string;
    readonly result: number;
    readonly reason: string;
  } | null;
}

export interface TodaySession extends SessionLine {
  readonly blocks: readonly PlanBlock[];
  readonly time: PlanTime;
  readonly coming: readonly ComingPlayer[];
}

export interface TodayView {
  readonly today: string;
  readonly squad: readonly PlayerName[];
  readonly sessions: readonly TodaySession[];
  readonly next: readonly SessionLine[];
  readonly last: readonly SessionLine[];
}

export async function todayView(context: Context): Promise<TodayView> {
  const { db, today } = context;
  await refreshAttempts(db);
  const [squad, soon, last] = await Promise.all([
    listPlayers(db),
    sessionsBetween(db, today, dayAfter(today, 14)),
    sessionsBefore(db, today, 2),
  ]);
  const all = [...soon, ...last];
  const ids = all.map((session) => session.id);
  const [playersOf, blocks] = await Promise.all([playersOfSessions(db, ids), blocksOfSessions(db, ids)]);
  const todays = blocks.filter((block) =>
    soon.some((session) => session.id === block.sessionId && session.day === today),
  );
  const playerIds = [...new Set([...playersOf.values()].flat())];
  const [players, records, places] = await Promise.all([
    getPlayers(db, playerIds),
    recentRecords(db, playerIds, todays, today),
    placesOf(db, playerIds),
  ]);
  const facts = new Map(players.map((player) => [player.id, playerFacts(player, today)]));

  const line = (session: (typeof all)[number]): SessionLine => ({
    ...sessionFacts(session),
    players: (playersOf.get(session.id) ?? []).map((id) => facts.get(id)?.name ?? ''),
    blockCount: blocks.filter((block) => block.sessionId === session.id).length,
  });
  const whole = (session: (typeof all)[number]): TodaySession => {
    const own = blocks.filter((block) => block.sessionId === session.id).map(planBlock);
    const coming = playersOf.get(session.id) ?? [];
    const targetOf = (playerId: string) => {
      // The loosening comes first but is nobody's aim.
      for (const block of own.filter(({ drillId }) => findDrill(drillId)?.family !== 'loosen')) {
        const place = places.find(
          (one) => one.playerId === playerId && one.drillId === block.drillId && one.stepId === block.stepId,
        );
        if (place)
          return { drillId: block.drillId, stepId: block.stepId, result: place.target, reason: place.why };
      }
      return null;
    };
    return {
      ...line(session),
      blocks: own,
      time: timePlan(own, coming, records, session.bookedMin),
      coming: coming.flatMap((id) => {
        const player = facts.get(id);
        return player ? [{ ...player, target: targetOf(id) }] : [];
      }),
    };
  };
  return {
    today,
    squad: squad.map(playerName),
    sessions: soon.filter((session) => session.day === today).map(whole),
    next: soon
      .filter((session) => session.day > today)
      .slice(0, 2)
      .map(line),
    last: last.map(line),
  };
}
