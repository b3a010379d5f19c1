import { addLoads, loadOf, noLoadSum, type LoadSum } from '@/core/dose/load';
import { rests } from '@/core/vows/keeping';
import type { PromisedDay } from '@/core/vows/together';
import type { Booked } from '@/core/vows/vow';
import type { Book } from '@/drills';
import { ageBandOf } from '@/drills/base/age-band';
import type { Executor } from '@/data/database';
import { loggedBlocks } from '@/data/log';
import { evidenceOn, lastDays, triesSince } from '@/data/results';
import { playersOfSessions, sessionsBetween } from '@/data/session';
import { vowsOfPlayer } from '@/data/vows';
import { dayNumber } from '@/core/base/days';
import { type PlanPlayer, type Records } from '@/session/base/plan';
import { timePlan } from '@/session/plan/time-plan';
import type { VowSetting } from '@/session/vows/propose';
import type { Vow } from '@/session/vows/vow';
import type { Context } from '../base/context';
import { dayAfter, recentSince } from '../base/days';
import { plannedBlocks } from './blocks';
import { judgedStep } from './judged';
import { recentRecords } from './records';
import { skillUntil } from './skill';
import { daysDone, homeKnown, promisedDays, readVow, runs } from './vows';

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
    book,
    player,
    records,
    skill,
    home,
    today,
    fromDay,
    untilDay,
    promised,
    sessions,
    rests: (day) => rests(own?.pauses ?? [], day),
    booked: all,
    limitedOn: last.map(({ day }) => dayNumber(day)),
    reachedDays: evidence[0]?.reachedDays ?? 0,
  };
}
