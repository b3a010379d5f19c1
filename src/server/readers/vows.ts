import type { Dose } from '@/core/dose/dose';
import { keepingOf, rests, type DayDone, type Keeping, type Pause } from '@/core/vows/keeping';
import type { PromisedDay } from '@/core/vows/together';
import { groupBy } from '@/core/base/group-by';
import type { Book } from '@/drills';
import type { Executor } from '@/data/database';
import {
  attemptsOfVows,
  daysOfVows,
  homeOf,
  listVows,
  type HomeRow,
  type VowAttempt,
  type VowDayRow,
  type VowRow,
} from '@/data/vows';
import { type PlanPlayer, type Records } from '@/session/base/plan';
import { dayNumber, isoDay } from '@/core/base/days';
import { dayShare, doneShare, doseOn } from '@/session/vows/done-share';
import { usualHome, type Home } from '@/session/vows/home';
import { dayCost, type Vow } from '@/session/vows/vow';
import { titleOfParts } from '@/session/vows/words';
import type { Surface } from '@/core/venues/place';

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
  // One made before ears were is counted by finger.
  vow: { byEar: false, ...(JSON.parse(promise) as Omit<Vow, 'byEar'> & Partial<Vow>) },
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

export const readHome = ({ playerId: _id, kit, surface, ...rest }: HomeRow): Home => ({
  ...rest,
  surface: surface as Surface,
  kit: JSON.parse(kit) as Home['kit'],
});

/** What a player has at home; the usual room where nobody has said. */
export async function homeKnown(db: Executor, playerId: string): Promise<{ home: Home; said: boolean }> {
  const row = await homeOf(db, playerId);
  return row ? { home: readHome(row), said: true } : { home: usualHome, said: false };
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
  /** Promised; the others are free, or were dropped by a change. */
  readonly asked: boolean;
  readonly free: boolean;
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
          asked: own.some(({ state }) => state === 'asked'),
          free: own.some(({ state }) => state === 'free'),
          share: dayShare(
            own.map((part, i) => {
              const now = of.get(vowId)?.parts[part.part];
              const choices = now?.drillId === part.drillId ? now.choices : [];
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
    ).filter(({ state, day }) => state === 'asked' && day > today),
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
      const key = JSON.stringify(parts.map(({ drillId, stepId, dose }) => [drillId, stepId, dose]));
      let cost = costs.get(key);
      if (cost === undefined) {
        cost = dayCost(book, player, parts, records);
        costs.set(key, cost);
      }
      if (!cost) return [];
      return [
        {
          vowId: one.id,
          madeAtMs: one.createdAtMs,
          title: titleOf(book, one.vow),
          day: dayNumber(day),
          ...cost,
        },
      ];
    });
  });
}

/** What a vow is called: its drills by their names. */
export const titleOf = (book: Book, { parts }: Vow): string =>
  titleOfParts(parts.map(({ drillId }) => book.drill(drillId)?.title ?? 'A drill that is gone'));
