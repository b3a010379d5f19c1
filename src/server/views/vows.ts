import { rests, type Keeping } from '@/core/vows/keeping';
import { tooMuch, weekTotals } from '@/core/vows/together';
import { shortDay } from '@/core/base/day-words';
import { groupBy } from '@/core/base/group-by';
import { listPlayers, getPlayer, placesOf } from '@/data/squad';
import { openLinks } from '@/data/links';
import { getVow, listVows, vowsOfPlayer, wordsFromHome } from '@/data/vows';
import { bookFor } from '../readers/book';
import { cardOf, whenInWords, type Card } from '@/session/vows/card';
import { plainDose } from '@/session/vows/card';
import { dayNumber, isoDay } from '@/core/base/days';
import type { Home } from '@/session/vows/home';
import type { Vow } from '@/session/vows/vow';
import type { Book } from '@/drills';
import type { Context } from '../base/context';
import { dayAfter } from '../base/days';
import { resultsReady } from '../court/results';
import { playerFacts, playerName, type PlayerFacts, type PlayerName } from '../readers/player-facts';
import { recentRecords } from '../readers/records';
import {
  daysDone,
  homeKnown,
  keptUntil,
  promisedDays,
  readVow,
  runs,
  titleOf,
  type KeptVow,
  type VowDayView,
} from '../readers/vows';
import { bookedFor } from '../readers/vow-setting';

/** One day of the strip: what was asked, and how much of it was done. */
export interface StripDay {
  readonly day: string;
  readonly asked: boolean;
  readonly rests: boolean;
  readonly share: number;
}

/** A vow as it stands. */
export interface VowLine {
  readonly id: string;
  readonly playerId: string;
  readonly name: string;
  readonly title: string;
  /** What is done now, in plain words. */
  readonly words: string;
  readonly when: string;
  readonly fromDay: string;
  readonly untilDay: string;
  readonly state: 'runs' | 'rests' | 'over' | 'ended' | 'to come';
  /** Days left, today among them; 0 once it is over. */
  readonly daysLeft: number;
  readonly keeping: Keeping;
  readonly strip: readonly StripDay[];
  /** Good repetitions at home, and the best on its steps. */
  readonly touches: number;
  readonly best: number | null;
  /** The last word from home. */
  readonly felt: { readonly face: number | null; readonly text: string; readonly day: string } | null;
  readonly thanked: boolean;
  readonly why: string;
}

export interface VowsView {
  readonly today: string;
  readonly lines: readonly VowLine[];
  /** Who has none that runs. */
  readonly without: readonly PlayerName[];
  /** Children whose vows together go over a line. */
  readonly tooMuch: readonly { readonly playerId: string; readonly name: string; readonly text: string }[];
}

/** Vows that were over so long ago are on their player’s page only, days. Ours. */
const shownDays = 28;
/** Days of the strip. */
const stripDays = 14;

function lineOf(
  book: Book,
  kept: KeptVow & { readonly name: string },
  days: readonly VowDayView[],
  today: string,
  felt: VowLine['felt'],
): VowLine {
  const { id, playerId, name, vow, fromDay, untilDay, endedOn, pauses, thankedAtMs } = kept;
  const until = endedOn ?? untilDay;
  const resting = rests(pauses, dayNumber(today));
  const next = days.find(({ day, asked }) => asked && day >= today) ?? days.findLast(({ asked }) => asked);
  const words = (next?.parts ?? [])
    .flatMap(({ drillId, stepId, dose }) => {
      const step = book.step(drillId, stepId, playerId);
      return step ? [`${step.title}. ${plainDose(step, dose)}`] : [];
    })
    .join(' ');
  const byDay = new Map(days.map((one) => [one.day, one]));
  const attempts = days.flatMap((one) => one.attempts);
  const results = attempts.flatMap(({ result }) => (result === null ? [] : [result]));
  const state =
    endedOn !== null
      ? 'ended'
      : untilDay < today
        ? 'over'
        : fromDay > today
          ? 'to come'
          : resting
            ? 'rests'
            : 'runs';
  return {
    id,
    playerId,
    name,
    fromDay,
    untilDay: until,
    words,
    state,
    felt,
    title: titleOf(book, vow),
    when: whenInWords(vow, until),
    daysLeft: Math.max(0, dayNumber(until) - dayNumber(today) + 1),
    keeping: keptUntil(kept, days, today),
    strip: Array.from({ length: stripDays }, (_, i) => {
      const day = dayAfter(today, i - stripDays + 1);
      const one = byDay.get(day);
      return {
        day,
        asked: one?.asked ?? false,
        rests: rests(pauses, dayNumber(day)),
        share: one?.share ?? 0,
      };
    }),
    touches: attempts.reduce((sum, one) => sum + one.touches, 0),
    best: vow.parts.length === 1 && results.length > 0 ? Math.max(...results) : null,
    thanked: thankedAtMs !== null,
    why: kept.endedWhy,
  };
}

/** The last word from home on each vow. */
async function feltOn(
  context: Context,
  days: ReadonlyMap<string, readonly VowDayView[]>,
): Promise<ReadonlyMap<string, VowLine['felt']>> {
  const of = new Map(
    [...days].flatMap(([vowId, all]) =>
      all.flatMap(({ day, parts }) => parts.map(({ blockId }) => [blockId, { vowId, day }] as const)),
    ),
  );
  const felt = new Map<string, VowLine['felt']>();
  const since = context.nowMs - shownDays * 86_400_000;
  for (const [, blockId, face, text] of await wordsFromHome(context.db, [...days.keys()], since)) {
    const { vowId, day } = of.get(blockId)!;
    const before = felt.get(vowId);
    const same = before?.day === day;
    felt.set(vowId, {
      day,
      face: face ?? (same ? before.face : null),
      text: text || (same ? before.text : ''),
    });
  }
  return felt;
}

const order: Readonly<Record<VowLine['state'], number>> = {
  runs: 0,
  rests: 1,
  'to come': 2,
  over: 3,
  ended: 4,
};

/** All vows: who promised what, how it is kept, what runs out, and whose are too much. */
export async function vowsView(context: Context): Promise<VowsView> {
  const { db, today } = context;
  await resultsReady(db);
  const [rows, squad, book] = await Promise.all([
    listVows(db, dayAfter(today, -shownDays)),
    listPlayers(db),
    bookFor(db),
  ]);
  const kept = rows.map(readVow);
  const days = await daysDone(db, kept);
  const felt = await feltOn(context, days);
  const lines = kept
    .map((one) => lineOf(book, one, days.get(one.id) ?? [], today, felt.get(one.id) ?? null))
    .sort(
      (a, b) =>
        order[a.state] - order[b.state] ||
        a.untilDay.localeCompare(b.untilDay) ||
        a.name.localeCompare(b.name),
    );
  const busy = new Set(kept.filter((one) => runs(one, today)).map(({ playerId }) => playerId));
  // All children at once: where the database is far away, what they ask goes there together.
  const over = await Promise.all(
    [...groupBy(kept, (one) => one.playerId)].map(async ([playerId, own]) => {
      const running = own.filter((one) => runs(one, today));
      const row = squad.find(({ id }) => id === playerId);
      if (running.length === 0 || !row) return [];
      const player = playerFacts(row, today);
      const all = await togetherOf(context, book, player, running, days);
      return all.over.slice(0, 2).map((text) => ({ playerId, name: player.name, text }));
    }),
  );
  return {
    today,
    lines,
    without: squad.filter(({ id }) => !busy.has(id)).map(playerName),
    tooMuch: over.flat(),
  };
}

/** All a child does at home and on court in the weeks ahead, and where it goes over a line. */
async function togetherOf(
  { db, today }: Pick<Context, 'db' | 'today'>,
  book: Book,
  player: PlayerFacts,
  running: readonly KeptVow[],
  days: ReadonlyMap<string, readonly VowDayView[]>,
) {
  const steps = running.flatMap(({ vow }) => vow.parts.map(({ drillId, stepId }) => ({ drillId, stepId })));
  const records = await recentRecords(db, [player.id], steps, today);
  const promised = promisedDays(book, player, records, running, days, today);
  const last = running.reduce((latest, { untilDay }) => (untilDay > latest ? untilDay : latest), today);
  const { sessions } = await bookedFor(db, book, player, records, promised, { today, untilDay: last });
  return {
    over: tooMuch(promised, sessions, player, (day) => shortDay(isoDay(day))).map(({ text }) => text),
    weeks: weekTotals(promised, new Map([...sessions].filter(([day]) => day >= dayNumber(today))))
      .slice(0, 6)
      .map(({ monday, homeS, courtS, good }) => ({
        monday: isoDay(monday),
        homeMin: Math.round(homeS / 60),
        courtMin: Math.round(courtS / 60),
        good: Math.round(good),
      })),
  };
}

/** A child’s vows, their home, what it all comes to, and the links their family has. */
export interface PlayerVowsView {
  readonly facts: PlayerFacts;
  readonly removed: boolean;
  readonly today: string;
  readonly lines: readonly VowLine[];
  readonly home: Home;
  readonly homeSaid: boolean;
  readonly weeks: readonly {
    readonly monday: string;
    readonly homeMin: number;
    readonly courtMin: number;
    readonly good: number;
  }[];
  readonly over: readonly string[];
  readonly links: number;
}

export async function playerVowsView(context: Context, id: string): Promise<PlayerVowsView | null> {
  const { db, today, nowMs } = context;
  const row = await getPlayer(db, id);
  if (!row || row.erasedAtMs !== null) return null;
  await resultsReady(db);
  const facts = playerFacts(row, today);
  const [rows, book, { home, said }, links] = await Promise.all([
    vowsOfPlayer(db, id),
    bookFor(db),
    homeKnown(db, id),
    openLinks(db, nowMs),
  ]);
  const kept = rows.map((one) => ({ ...readVow(one), name: facts.name }));
  const days = await daysDone(db, kept);
  const felt = await feltOn(context, days);
  const running = kept.filter((one) => runs(one, today));
  const { over, weeks } = await togetherOf(context, book, facts, running, days);
  return {
    facts,
    today,
    home,
    homeSaid: said,
    weeks,
    over,
    removed: row.removedAtMs !== null,
    lines: kept
      .map((one) => lineOf(book, one, days.get(one.id) ?? [], today, felt.get(one.id) ?? null))
      .sort((a, b) => order[a.state] - order[b.state] || b.untilDay.localeCompare(a.untilDay)),
    links: links.filter(({ scope, playerId }) => scope === 'vow' && playerId === id).length,
  };
}

/** What a form to make or change a vow begins with. */
export interface VowFormView {
  readonly facts: PlayerFacts;
  readonly today: string;
  readonly home: Home;
  readonly homeSaid: boolean;
  /** The step the player stands on, by drill. */
  readonly standing: Readonly<Record<string, string>>;
  /** The vow that is changed; null for a new one. */
  readonly changes: {
    readonly id: string;
    readonly vow: Vow;
    readonly fromDay: string;
    readonly untilDay: string;
  } | null;
}

export async function vowFormView(
  context: Context,
  { playerId, vowId }: { readonly playerId?: string; readonly vowId?: string },
): Promise<VowFormView | null> {
  const { db, today } = context;
  const row = vowId === undefined ? undefined : await getVow(db, vowId);
  if (vowId !== undefined && (!row || row.removedAtMs !== null)) return null;
  const id = row?.playerId ?? playerId ?? '';
  const player = await getPlayer(db, id);
  if (!player || player.removedAtMs !== null) return null;
  const [{ home, said }, places] = await Promise.all([homeKnown(db, id), placesOf(db, [id])]);
  return {
    facts: playerFacts(player, today),
    today,
    home,
    homeSaid: said,
    standing: Object.fromEntries(places.map(({ drillId, stepId }) => [drillId, stepId])),
    changes: row ? { id: row.id, vow: readVow(row).vow, fromDay: row.fromDay, untilDay: row.untilDay } : null,
  };
}

/** A vow as it goes on paper; null where it, or one of its drills, is gone. */
export interface CardView {
  readonly id: string;
  readonly playerId: string;
  readonly card: Card;
}

export async function cardView({ db, today }: Context, id: string): Promise<CardView | null> {
  const row = await getVow(db, id);
  if (!row || row.removedAtMs !== null) return null;
  const player = await getPlayer(db, row.playerId);
  if (!player) return null;
  const [book, kept] = [await bookFor(db), readVow(row)];
  const days = (await daysDone(db, [kept])).get(id) ?? [];
  const card = cardOf(
    book,
    playerFacts(player, today),
    kept.vow,
    kept.endedOn ?? kept.untilDay,
    days
      .filter(({ asked, day }) => asked && day >= today)
      .map(({ day, parts }) => ({ day, doses: parts.map(({ dose }) => dose) })),
  );
  return card && { id, playerId: row.playerId, card };
}
