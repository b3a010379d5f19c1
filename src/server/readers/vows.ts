import type { Dose } from '@/core/dose/dose';
import { addLoads, loadOf, noLoadSum, type LoadSum } from '@/core/dose/load';
import { keepingOf, rests, type DayDone, type Keeping, type Pause } from '@/core/planning/vow/keeping';
import type { PromisedDay } from '@/core/planning/vow/together';
import type { Booked } from '@/core/planning/vow/vow';
import { groupBy } from '@/core/group-by';
import type { Book } from '@/drills';
import type { Executor } from '@/data/database';
import { evidenceOn, lastDays, triesSince } from '@/data/results';
import { loggedBlocks } from '@/data/log';
import { playersOfSessions, sessionsBetween } from '@/data/session';
import {
  attemptsOfVows,
  daysOfVows,
  homeOf,
  homesOf,
  listVows,
  runningVows,
  vowsOfPlayer,
  type HomeRow,
  type VowAttempt,
  type VowDayRow,
  type VowRow,
} from '@/data/vows';
import { timePlan, type PlanPlayer, type Records } from '@/session/plan';
import { dayNumber, isoDay } from '@/session/levels';
import { dayShare, doneShare, doseOn } from '@/session/vow/done-share';
import { notAtHome, usualHome, type Home } from '@/session/vow/home';
import type { VowSetting } from '@/session/vow/propose';
import { dayCost, type Vow } from '@/session/vow/vow';
import { titleOfParts } from '@/session/vow/words';
import type { Surface } from '@/core/place/place';
import type { Context } from '../context';
import { dayAfter, recentSince } from '../days';
import { plannedBlocks } from './blocks';
import { judgedStep } from './judged';
import { recentRecords } from './records';
import { skillUntil } from './skill';
import { ageBandOf } from '@/drills/age-band';

/** A vow as it is kept, with what it says read. */
export interface KeptVow extends Omit<VowRow, 'promise' | 'pauses'> {
  readonly vow: Vow;
  readonly pauses: readonly VowPause[];
}

export interface VowPause extends Pause {
  readonly why: string;
}

type WrittenPause = readonly [from: string, until: string | null, why: string];

export const readVow = <R extends VowRow>({
  promise,
  pauses,
  ...row
}: R): Omit<R, 'promise' | 'pauses'> & KeptVow => ({
  ...row,
  vow: JSON.parse(promise) as Vow,
  pauses: (JSON.parse(pauses) as WrittenPause[]).map(([from, until, why]) => ({
    from: dayNumber(from),
    until: until === null ? null : dayNumber(until),
    why,
  })),
});

export const writePauses = (pauses: readonly VowPause[]): string =>
  JSON.stringify(
    pauses.map(({ from, until, why }) => [isoDay(from), until === null ? null : isoDay(until), why]),
  );

const readHome = ({ playerId: _id, kit, surface, ...rest }: HomeRow): Home => ({
  ...rest,
  surface: surface as Surface,
  kit: JSON.parse(kit) as Home['kit'],
});

/** What a player has at home; the usual room where nobody has said. */
export async function homeKnown(db: Executor, playerId: string): Promise<{ home: Home; said: boolean }> {
  const row = await homeOf(db, playerId);
  return row ? { home: readHome(row), said: true } : { home: usualHome, said: false };
}

/** A step a player could promise after a session. */
export interface VowOffer {
  readonly playerId: string;
  readonly drillId: string;
  readonly stepId: string;
}

/**
 * Of the steps each player was proposed, the first that fits at their home and is not promised yet; what is to be
 * practised on goes before what is new.
 */
export async function vowOffers(
  db: Executor,
  book: Book,
  today: string,
  proposed: readonly (VowOffer & { readonly stays: boolean })[],
): Promise<VowOffer[]> {
  const ids = [...new Set(proposed.map(({ playerId }) => playerId))];
  const [homes, running] = await Promise.all([homesOf(db, ids), runningVows(db, ids, today)]);
  const promised = new Set(
    running
      .map(readVow)
      .flatMap(({ playerId, vow }) => vow.parts.map((part) => `${playerId} ${part.drillId} ${part.stepId}`)),
  );
  return ids.flatMap((id) => {
    const row = homes.find(({ playerId }) => playerId === id);
    const home = row ? readHome(row) : usualHome;
    const able = proposed.filter(({ playerId, drillId, stepId }) => {
      const drill = book.drill(drillId, playerId);
      return (
        playerId === id &&
        drill !== undefined &&
        !promised.has(`${id} ${drillId} ${stepId}`) &&
        notAtHome(drill, home, null).length === 0
      );
    });
    const one = able.find(({ stays }) => stays) ?? able[0];
    return one ? [{ playerId: id, drillId: one.drillId, stepId: one.stepId }] : [];
  });
}

/** One part of a day of a vow, read. */
export interface DayPart extends Omit<VowDayRow, 'dose'> {
  readonly dose: Dose;
}

export const readDay = (row: VowDayRow): DayPart => ({ ...row, dose: JSON.parse(row.dose) as Dose });

/** Every part of every day of a vow, in order. */
export const partsOfVow = async (db: Executor, vowId: string): Promise<DayPart[]> =>
  (await daysOfVows(db, [vowId])).map(readDay);

/** A day of a vow with what was done on it. */
export interface VowDayView {
  readonly day: string;
  readonly parts: readonly DayPart[];
  readonly asked: boolean;
  /** 0 to 1 of its dose. */
  readonly share: number;
  readonly attempts: readonly VowAttempt[];
}

/** The days of vows with what was done on each, in order. */
export async function daysDone(
  db: Executor,
  vows: readonly Pick<KeptVow, 'id' | 'vow'>[],
): Promise<Map<string, VowDayView[]>> {
  const vowIds = vows.map(({ id }) => id);
  const [rows, attempts] = await Promise.all([daysOfVows(db, vowIds), attemptsOfVows(db, vowIds)]);
  const byBlock = groupBy(attempts, ({ blockId }) => blockId);
  const of = new Map(vows.map(({ id, vow }) => [id, vow]));
  const byVow = groupBy(rows.map(readDay), ({ vowId }) => vowId);
  return new Map(
    [...byVow].map(([vowId, parts]) => [
      vowId,
      [...groupBy(parts, ({ day }) => day)].map(([day, own]): VowDayView => {
        const done = own.map((part) => byBlock.get(part.blockId) ?? []);
        return {
          day,
          parts: own,
          asked: own.some(({ asked }) => asked),
          share: dayShare(
            own.map((part, i) => {
              const choices = of.get(vowId)?.parts[part.part]?.choices ?? [];
              return doneShare(doseOn(part, choices, done[i]!.at(-1)?.stepId ?? null), done[i]!);
            }),
          ),
          attempts: done.flat(),
        };
      }),
    ]),
  );
}

/** How a vow was kept until a day. */
export function keptUntil(
  { pauses, endedOn }: Pick<KeptVow, 'pauses' | 'endedOn'>,
  days: readonly VowDayView[],
  today: string,
): Keeping {
  const planned = days
    .filter(({ asked, day }) => asked && (endedOn === null || day <= endedOn))
    .map(({ day }) => dayNumber(day));
  const done = days
    .filter(({ share }) => share > 0)
    .map<DayDone>(({ day, share }) => ({ day: dayNumber(day), share }));
  return keepingOf(planned, done, pauses, dayNumber(today));
}

/** Does a vow still ask for something? */
export const runs = ({ endedOn, untilDay, removedAtMs }: KeptVow, today: string): boolean =>
  removedAtMs === null && endedOn === null && untilDay >= today;

/** The days after today that vows ask for, with their drills. */
export async function promisedAhead(
  db: Executor,
  today: string,
): Promise<
  { readonly playerId: string; readonly drillIds: readonly string[]; readonly days: readonly number[] }[]
> {
  const running = (await listVows(db, today)).map(readVow).filter((one) => runs(one, today));
  const days = groupBy(
    (
      await daysOfVows(
        db,
        running.map(({ id }) => id),
      )
    ).filter(({ asked, day }) => asked && day > today),
    ({ vowId }) => vowId,
  );
  return running.map(({ id, playerId, vow, pauses }) => ({
    playerId,
    drillIds: vow.parts.map(({ drillId }) => drillId),
    days: [...new Set((days.get(id) ?? []).map(({ day }) => dayNumber(day)))].filter(
      (day) => !rests(pauses, day),
    ),
  }));
}

/** The days that vows of a player still ask for from a day on, each with what it costs. */
export function promisedDays(
  book: Book,
  player: PlanPlayer,
  records: Records,
  vows: readonly KeptVow[],
  days: ReadonlyMap<string, readonly VowDayView[]>,
  fromDay: string,
): PromisedDay[] {
  return vows.flatMap((one) => {
    if (one.endedOn !== null || one.removedAtMs !== null) return [];
    const costs = new Map<string, ReturnType<typeof dayCost>>();
    return (days.get(one.id) ?? []).flatMap<PromisedDay>(({ day, asked, parts }) => {
      if (!asked || day < fromDay || rests(one.pauses, dayNumber(day))) return [];
      const key = JSON.stringify(parts.map(({ stepId, dose }) => [stepId, dose]));
      let cost = costs.get(key);
      if (cost === undefined) {
        const withDrill = parts.map(({ part, stepId, dose }) => ({
          drillId: one.vow.parts[part]?.drillId ?? '',
          ...{ stepId, dose },
        }));
        cost = dayCost(book, player, withDrill, records);
        costs.set(key, cost);
      }
      if (!cost) return [];
      return [
        {
          ...{ vowId: one.id, madeAtMs: one.createdAtMs, title: titleOf(book, one.vow), day: dayNumber(day) },
          ...cost,
        },
      ];
    });
  });
}

/** What a vow is called: its drills by their names. */
export const titleOf = (book: Book, { parts }: Vow): string =>
  titleOfParts(parts.map(({ drillId }) => book.drill(drillId)?.title ?? 'A drill that is gone'));

/** What a player does besides: sessions that are planned, what was counted lately, and vows. */
export async function bookedFor(
  db: Executor,
  book: Book,
  player: PlanPlayer,
  records: Records,
  promised: readonly PromisedDay[],
  { today, untilDay }: { readonly today: string; readonly untilDay: string },
): Promise<{ readonly all: ReadonlyMap<number, Booked>; readonly sessions: ReadonlyMap<number, Booked> }> {
  const sessions = new Map<number, Booked>();
  const add = (to: Map<number, Booked>, day: number, load: LoadSum, homeS = 0, courtS = 0) => {
    const there = to.get(day);
    to.set(day, {
      load: addLoads(there?.load ?? noLoadSum, load),
      homeS: (there?.homeS ?? 0) + homeS,
      courtS: (there?.courtS ?? 0) + courtS,
    });
  };
  const [logged, booked] = await Promise.all([
    triesSince(db, [player.id], dayAfter(today, -7), { day: today, id: null }),
    sessionsBetween(db, today, dayAfter(untilDay, 7)),
  ]);
  for (const { drillId, stepId, day, tries } of logged) {
    const step = book.step(drillId, stepId);
    if (step) add(sessions, dayNumber(day), loadOf(step.load, tries));
  }
  const ids = booked.map(({ id }) => id);
  const [playersOf, blocks] = await Promise.all([playersOfSessions(db, ids), plannedBlocks(db, ids)]);
  for (const { id, day, state, notHeld, bookedMin } of booked) {
    if (state === 'finished' || notHeld !== null || !playersOf.get(id)?.includes(player.id)) continue;
    // What was begun is in the log already.
    const begun = day === today && (await loggedBlocks(db, id)).length > 0;
    const own = begun ? [] : blocks.filter(({ sessionId }) => sessionId === id);
    const load = timePlan(book, own, [player], records, bookedMin).loadOf[player.id] ?? noLoadSum;
    add(sessions, dayNumber(day), load, 0, bookedMin * 60);
  }
  const all = new Map(sessions);
  for (const { day, seconds, load } of promised) add(all, day, load, seconds);
  return { all, sessions };
}

/** Everything a vow is planned with, except what it is. */
export async function vowSetting(
  context: Pick<Context, 'db' | 'today'>,
  book: Book,
  player: PlanPlayer & { readonly name: string },
  asked: {
    readonly parts: Vow['parts'];
    readonly fromDay: string;
    readonly untilDay: string;
    readonly exceptId?: string;
  },
): Promise<
  VowSetting & { readonly promised: readonly PromisedDay[]; readonly sessions: ReadonlyMap<number, Booked> }
> {
  const { db, today } = context;
  const { parts, fromDay, untilDay, exceptId } = asked;
  const [rows, { home }, skill] = await Promise.all([
    vowsOfPlayer(db, player.id),
    homeKnown(db, player.id),
    skillUntil(db, today),
  ]);
  const kept = rows.map(readVow).filter((one) => runs(one, today));
  const own = rows.map(readVow).find(({ id }) => id === exceptId);
  const others = kept.filter(({ id }) => id !== exceptId);
  const days = await daysDone(db, others);
  const steps = [...parts, ...others.flatMap(({ vow }) => vow.parts)].map(({ drillId, stepId }) => ({
    drillId,
    stepId,
  }));
  const limited = parts.filter(({ drillId, stepId }) => book.step(drillId, stepId)?.limit);
  const [part] = parts;
  const drill = part && book.drill(part.drillId, player.id);
  const step = drill?.steps.find(({ id }) => id === part?.stepId);
  const [records, last, evidence] = await Promise.all([
    recentRecords(db, [player.id], steps, today),
    lastDays(db, [player.id], limited, { day: today, id: null }),
    drill && step
      ? evidenceOn(
          db,
          [
            judgedStep(book, player.id, player, {
              drill,
              step,
              dose: step.doses[ageBandOf(player.age)],
              out: false,
            }),
          ],
          { id: '', day: today },
          recentSince(today),
        )
      : [],
  ]);
  const promised = promisedDays(book, player, records, others, days, today);
  const { all, sessions } = await bookedFor(db, book, player, records, promised, { today, untilDay });
  return {
    ...{ book, player, records, skill, home, today, fromDay, untilDay, promised, sessions },
    rests: (day) => rests(own?.pauses ?? [], day),
    booked: all,
    limitedOn: last.map(({ day }) => dayNumber(day)),
    reachedDays: evidence[0]?.reachedDays ?? 0,
  };
}
