import { countWords } from '@/data/ledger';
import { recentWork } from '@/data/results';
import {
  attendedSince,
  playersOfSessions,
  sessionsBetween,
  sessionsOfBlocks,
  type SessionOfBlock,
} from '@/data/session';
import { listPlayers } from '@/data/squad';
import { tapsSince } from '@/data/taps';
import { dayNumber } from '@/core/base/days';
import { honestyOf } from '@/session/skill/honesty';
import { needsOf, type Need, type NeedPlayer } from '@/session/skill/needs';
import type { Context } from '../base/context';
import { dayAfter } from '../base/days';
import { resultsReady } from '../court/results';
import { plannedBlocks } from '../readers/blocks';
import { bookFor } from '../readers/book';
import { playerFacts, type PlayerFacts } from '../readers/player-facts';
import { skillUntil } from '../readers/skill';
import { countsTold } from '../readers/told';
import { laddersOf } from '../readers/ladders';
import { squadDays } from './squad';

export interface NextSession {
  readonly id: string;
  readonly title: string;
  readonly day: string;
  /** What is in its plan. */
  readonly drillIds: readonly string[];
}

export interface NeedsView {
  readonly players: readonly PlayerFacts[];
  /** The most pressing kind first. */
  readonly needs: readonly Need[];
  /** The next planned session each player comes to. */
  readonly next: Readonly<Record<string, NextSession>>;
  /** The sessions of the blocks that needs name, by block. */
  readonly sessions: Readonly<Record<string, SessionOfBlock>>;
}

/** Sessions are looked for so many days ahead. Ours. */
const daysAhead = 28;

/** Everybody on the squad, as far as it says who needs the coach. */
export async function needsView(context: Context): Promise<NeedsView> {
  const { db, today } = context;
  await resultsReady(db);
  const since = dayAfter(today, -squadDays);
  const squad = await listPlayers(db);
  const bornIn = new Map(squad.map(({ id, birthYear }) => [id, birthYear]));
  const [book, skill, work, attended, taps, told, coming, words] = await Promise.all([
    bookFor(db),
    skillUntil(db, today),
    recentWork(db, since),
    attendedSince(db, since),
    tapsSince(db, since),
    countsTold(db, since, bornIn),
    sessionsBetween(db, today, dayAfter(today, daysAhead)),
    countWords(db),
  ]);
  // What the coach has had a word on is settled until new weeks have been counted.
  const settled = (playerId: string, doubt: string) =>
    words.some((one) => one.playerId === playerId && one.doubt === doubt && one.untilDay >= since);
  const players = squad.map((player) => playerFacts(player, today));
  const planned = coming.filter(({ state }) => state === 'planned');
  const [ladders, comingTo, blocks] = await Promise.all([
    laddersOf(context, book, skill, players, false),
    playersOfSessions(
      db,
      planned.map(({ id }) => id),
    ),
    plannedBlocks(
      db,
      planned.map(({ id }) => id),
    ),
  ]);
  const found = honestyOf(book, taps, told, skill);
  const families = new Map<string, Record<string, number>>();
  for (const { playerId, drillId, day, touches } of skill.done) {
    const family = book.drill(drillId)?.family;
    if (!family || day < since) continue;
    const own = families.get(playerId) ?? {};
    own[family] = (own[family] ?? 0) + touches;
    families.set(playerId, own);
  }
  const from = players.map<NeedPlayer>(({ id }) => {
    const done = work.find((one) => one.playerId === id);
    return {
      id,
      sessions: attended.find((one) => one.playerId === id)?.sessions ?? 0,
      touches: done?.touches ?? 0,
      families: families.get(id) ?? {},
      daysAway: done ? dayNumber(today) - dayNumber(done.lastDay) : null,
      findings: (found.get(id) ?? []).filter(({ doubt }) => !settled(id, doubt)),
      ladders: (ladders.get(id) ?? []).map(({ drillId, stepId, odds, progress, schools, nextBest }) => {
        const step = book.step(drillId, stepId, id)!;
        return {
          drillId,
          odds,
          progress,
          schools,
          nextBest,
          title: book.drill(drillId)!.title,
          stepTitle: step.title,
          measure: step.measure,
        };
      }),
    };
  });
  const next: Record<string, NextSession> = {};
  for (const { id, title, day } of planned) {
    const drillIds = blocks.filter(({ sessionId }) => sessionId === id).map(({ drillId }) => drillId);
    for (const playerId of comingTo.get(id) ?? []) next[playerId] ??= { id, title, day, drillIds };
  }
  const needs = needsOf(from);
  const named = [...new Set(needs.flatMap(({ blockIds = [] }) => blockIds))];
  const sessions = Object.fromEntries(
    (await sessionsOfBlocks(db, named)).map(({ blockId, ...session }) => [blockId, session]),
  );
  return { players, needs, next, sessions };
}
