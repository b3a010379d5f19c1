import type { Book } from '@/drills/book';
import { amountOf, withAmount } from '@/core/dose/amount';
import { doseInWords, type Dose } from '@/core/dose/dose';
import { doseFields, doseProblems } from '@/core/dose/limits';
import { sessionPhases, type SessionPhaseId } from '@/core/plan/phases';
import { phaseOf } from './evaluate';
import { type PlanBlock, type PlanPlayer, type Records } from '../base/plan';
import { openGround, timePlan, type Ground } from './time-plan';

/** What a block's time hangs on. */
export interface TimeSetting {
  readonly book: Book;
  readonly players: readonly PlanPlayer[];
  readonly records: Records;
  readonly ground?: Ground;
}

/** A block at one of the sizes it can have, and the seconds it then takes. */
interface Size {
  readonly block: PlanBlock;
  readonly totalS: number;
}

/** Fitted to a booking, a block never grows to more than so many times the work it had: ours. A length that is asked for by itself may. */
const mostGrowth = 3;

/** Seconds by which a row's cap goes up and down: ours. */
const capStepS = 15;

const rangeOf = (kind: Dose['kind'], name: string): readonly [number, number] => {
  const { min, max } = doseFields[kind].find((field) => field.name === name)!;
  return [min, max];
};

const upTo = (min: number, max: number, by = 1): number[] =>
  Array.from({ length: Math.floor((max - min) / by) + 1 }, (_, index) => min + index * by);

/**
 * The sizes of a dose: more or fewer rounds, sets or holds of the same work; baskets of shots; a longer or shorter cap
 * for a row, and a longer row where a longer cap would not be used.
 */
function sizesOf(dose: Dose): Dose[] {
  switch (dose.kind) {
    case 'reps':
      return upTo(...rangeOf('reps', 'sets')).map((sets) => ({ ...dose, sets }));
    case 'hold':
      return upTo(...rangeOf('hold', 'holds')).map((holds) => ({ ...dose, holds }));
    case 'timed':
    case 'course':
    case 'routine':
      return upTo(...rangeOf(dose.kind, 'rounds')).map((rounds) => ({ ...dose, rounds }));
    case 'growing':
      return upTo(...rangeOf('growing', 'to')).map((to) => ({ ...dose, to }));
    case 'shots': {
      const [min, max] = rangeOf('shots', 'shots');
      // Whole baskets, so that nobody walks for three balls.
      const basket = Math.min(dose.shots, dose.ballsAtHand);
      return upTo(Math.max(min, basket), max, basket).map((shots) => ({ ...dose, shots }));
    }
    case 'row': {
      const [min, max] = rangeOf('row', 'capS');
      const caps = upTo(min, max, capStepS).map((capS) => ({ ...dose, capS }));
      const longer = upTo(dose.target + 1, Math.min(rangeOf('row', 'target')[1], dose.target * 4));
      return [...caps, ...longer.map((target) => ({ ...dose, target, capS: max }))];
    }
  }
}

/** The block with another dose; what each child does of it grows or shrinks alike. */
function withDose(block: PlanBlock, dose: Dose): PlanBlock {
  const before = amountOf(block.dose);
  const after = amountOf(dose);
  if (before === null || after === null || before === after) return { ...block, dose };
  const own = block.own.map((one) =>
    one.amount === null
      ? one
      : { ...one, amount: amountOf(withAmount(dose, Math.round((one.amount * after) / before))) },
  );
  return { ...block, dose, own };
}

/** What a size is counted by: rounds, sets, holds, shots, the length of a growing row, or the cap of a row in steps. */
function sizeOf(dose: Dose): number {
  switch (dose.kind) {
    case 'reps':
      return dose.sets;
    case 'hold':
      return dose.holds;
    case 'timed':
    case 'course':
    case 'routine':
      return dose.rounds;
    case 'growing':
      return dose.to;
    case 'shots':
      return dose.shots;
    case 'row':
      return dose.capS;
  }
}

/** The block with about so many times its work: more or fewer rounds, sets, holds or baskets, or another cap. */
export function atShare(block: PlanBlock, share: number): PlanBlock {
  const wanted = sizeOf(block.dose) * share;
  const target = block.dose.kind === 'row' ? block.dose.target : null;
  const all = sizesOf(block.dose).filter(
    (dose) => doseProblems(dose).length === 0 && (dose.kind !== 'row' || dose.target === target),
  );
  const off = (dose: Dose) => Math.abs(sizeOf(dose) - wanted);
  const best = all.reduce<Dose>((so, next) => (off(next) < off(so) ? next : so), block.dose);
  return best === block.dose ? block : withDose(block, best);
}

/**
 * A station of a circuit at the size that fills a visit best: the largest that is done when the signal comes, else the
 * smallest there is. A row is kept up until the signal, so its cap is the visit.
 * @param stations all of its circuit
 */
export function fitToVisit(
  setting: TimeSetting,
  stations: readonly PlanBlock[],
  block: PlanBlock,
): PlanBlock {
  const { book, players, records, ground = openGround } = setting;
  const visitS = block.circuit?.stationS ?? 0;
  const timed = (sized: PlanBlock) => {
    const all = stations.map((one) => (one.id === block.id ? sized : one));
    return timePlan(book, all, players, records, 60, ground).blocks.find((one) => one.id === block.id);
  };
  const { dose } = block;
  const now = timed(block);
  if (!now) return block;
  const all = sizesOf(dose).filter(
    (one) =>
      doseProblems(one).length === 0 &&
      (one.kind !== 'row' || dose.kind !== 'row' || one.target === dose.target),
  );
  const fits = (one: Dose) =>
    one.kind === 'row'
      ? one.capS <= visitS / now.turns
      : (timed(withDose(block, one))?.station?.needS ?? Infinity) <= visitS + 0.5;
  const bySize = [...all].sort((a, b) => sizeOf(a) - sizeOf(b));
  const best = bySize.findLast(fits) ?? bySize[0];
  return best ? withDose(block, best) : block;
}

/** Seconds of one block in its place: the last one has no changeover and no break. */
export function secondsOf(setting: TimeSetting, block: PlanBlock, last: boolean): number {
  const { book, players, records, ground = openGround } = setting;
  const next = last ? [] : [{ ...block, id: `${block.id} next` }];
  return timePlan(book, [block, ...next], players, records, 60, ground).blocks[0]?.totalS ?? 0;
}

/** Every size of a block with the time it takes, the shortest first. A row is not capped for longer than it is expected to take. */
function sizes(setting: TimeSetting, block: PlanBlock, last: boolean): Size[] {
  const all = sizesOf(block.dose)
    .filter((dose) => doseProblems(dose).length === 0)
    .map((dose) => {
      const sized = withDose(block, dose);
      return { block: sized, totalS: secondsOf(setting, sized, last) };
    });
  const seen = new Set<number>();
  return all
    .sort((a, b) => a.totalS - b.totalS)
    .filter(({ totalS }) => totalS > 0 && !seen.has(Math.round(totalS)) && seen.add(Math.round(totalS)));
}

const nearest = (of: readonly Size[], wantedS: number): Size =>
  of.reduce((best, one) => (Math.abs(one.totalS - wantedS) < Math.abs(best.totalS - wantedS) ? one : best));

/**
 * The block at the size that comes nearest to a length.
 * @param wantedS seconds, > 0
 * @returns the same block where it takes no time at all (everybody sits it out)
 */
export function toLength(setting: TimeSetting, block: PlanBlock, wantedS: number, last: boolean): PlanBlock {
  const now = secondsOf(setting, block, last);
  const all = sizes(setting, block, last);
  if (now === 0 || all.length === 0) return block;
  const best = nearest(all, wantedS);
  // As near as it was is not worth a change.
  return Math.abs(best.totalS - wantedS) < Math.abs(now - wantedS) - 0.5 ? best.block : block;
}

/** How a session is brought to its booking: what is missing by the shares of its phases, or all blocks alike. */
export type FitHow = 'by phase' | 'alike';

export interface FitChange {
  readonly blockId: string;
  readonly index: number;
  readonly before: { readonly dose: string; readonly totalS: number };
  readonly after: { readonly dose: string; readonly totalS: number };
}

export interface FitPlan {
  readonly blocks: readonly PlanBlock[];
  readonly totalS: number;
  /** What would change, in the order of the plan. */
  readonly changes: readonly FitChange[];
  /** Phases a session usually has and this one has nothing for. */
  readonly missing: readonly string[];
}

interface Part {
  readonly sizes: readonly Size[];
  readonly wantedS: number;
  at: number;
}

/** The phase of a block; undefined for a drill the book does not know (any more). */
function phaseIn(book: Book, block: PlanBlock): SessionPhaseId | undefined {
  const drill = book.drill(block.drillId);
  return drill && phaseOf(drill, block);
}

/** What each block should take: its share of what is left once blocks that stay as they are have had theirs. */
function wantedOf(
  setting: TimeSetting,
  blocks: readonly PlanBlock[],
  totals: readonly number[],
  fixed: ReadonlySet<string>,
  bookedS: number,
  how: FitHow,
): number[] {
  const free = (index: number) => !fixed.has(blocks[index]!.id) && totals[index]! > 0;
  const freeS = totals.reduce((sum, totalS, index) => sum + (free(index) ? totalS : 0), 0);
  const restS = bookedS - totals.reduce((sum, totalS, index) => sum + (free(index) ? 0 : totalS), 0);
  if (how === 'alike' || freeS === 0)
    return totals.map((totalS, index) => (free(index) ? (totalS * restS) / freeS : totalS));
  const phases = blocks.map((block) => phaseIn(setting.book, block));
  const planned = sessionPhases.map(({ id, share }) => ({
    id,
    lacksS: Math.max(
      0,
      share * bookedS - totals.reduce((sum, totalS, index) => sum + (phases[index] === id ? totalS : 0), 0),
    ),
    freeS: totals.reduce((sum, totalS, index) => sum + (phases[index] === id && free(index) ? totalS : 0), 0),
  }));
  const takes = planned.filter((phase) => phase.freeS > 0);
  const lacksS = takes.reduce((sum, phase) => sum + phase.lacksS, 0);
  const spareS = restS - freeS;
  return totals.map((totalS, index) => {
    const phase = takes.find(({ id }) => id === phases[index]);
    if (!free(index) || !phase) return totalS;
    const part = lacksS > 0 ? phase.lacksS / lacksS : phase.freeS / freeS;
    return totalS + spareS * part * (totalS / phase.freeS);
  });
}

/**
 * Brings a session to its booking: every block takes the size nearest to its share, then the one most over it gives way
 * until the booking holds, and the one most under it grows while there is room. Over the booking only where no block can
 * give way any more.
 * A circuit stays as it is: its length is its visits'.
 * @param fixed blocks that stay as they are: those that were held, and those everybody sits out
 * @param bookedS seconds booked, > 0
 */
export function fitToBooking(
  setting: TimeSetting,
  blocks: readonly PlanBlock[],
  bookedS: number,
  how: FitHow,
  fixed: ReadonlySet<string> = new Set(),
): FitPlan {
  const { book, players, records, ground = openGround } = setting;
  const { blocks: timed } = timePlan(book, blocks, players, records, bookedS / 60, ground);
  const lastAt = blocks.findLastIndex(({ id }) => id === timed.at(-1)?.id);
  // The stations of a circuit share its time.
  const totals = blocks.map(({ id }) => timed.find((one) => one.id === id)?.ownS ?? 0);
  const stays = new Set([...fixed, ...blocks.filter((block) => block.circuit).map(({ id }) => id)]);
  const wanted = wantedOf(setting, blocks, totals, stays, bookedS, how);
  const grows = totals.reduce((sum, totalS) => sum + totalS, 0) < bookedS;
  const parts = blocks.map<Part>((block, index) => {
    const now: Size = { block, totalS: totals[index]! };
    const others = stays.has(block.id) || now.totalS === 0 ? [] : sizes(setting, block, index === lastAt);
    const all = others
      .filter(({ totalS }) =>
        grows ? totalS > now.totalS + 0.5 && totalS <= now.totalS * mostGrowth : totalS < now.totalS - 0.5,
      )
      .concat(now)
      .sort((a, b) => a.totalS - b.totalS);
    return { sizes: all, wantedS: wanted[index]!, at: all.indexOf(nearest(all, wanted[index]!)) };
  });
  const s = (part: Part, at = part.at) => part.sizes[at]!.totalS;
  const total = () => parts.reduce((sum, part) => sum + s(part), 0);
  const most = (of: readonly Part[], by: (part: Part) => number) =>
    of.reduce<Part | null>((best, part) => (best === null || by(part) > by(best) ? part : best), null);
  for (;;) {
    if (total() <= bookedS + 0.5) break;
    const gives = most(
      parts.filter((part) => part.at > 0),
      (part) => s(part) - part.wantedS,
    );
    if (!gives) break;
    gives.at -= 1;
  }
  for (;;) {
    const roomS = bookedS - total() + 0.5;
    const takes = most(
      parts.filter((part) => part.at + 1 < part.sizes.length && s(part, part.at + 1) - s(part) <= roomS),
      (part) => part.wantedS - s(part),
    );
    // By phase, what its blocks cannot take is left for a drill of the phase that lacks: a longer warm-up is no stroke.
    if (!takes || (how === 'by phase' && takes.wantedS <= s(takes))) break;
    takes.at += 1;
  }
  const fitted = parts.map((part) => part.sizes[part.at]!);
  const present = new Set(blocks.map((block) => phaseIn(setting.book, block)));
  return {
    blocks: fitted.map(({ block }) => block),
    totalS: total(),
    changes: fitted.flatMap(({ block, totalS }, index) => {
      const before = blocks[index]!;
      if (block === before) return [];
      return [
        {
          blockId: block.id,
          index,
          before: { dose: doseInWords(before.dose), totalS: totals[index]! },
          after: { dose: doseInWords(block.dose), totalS },
        },
      ];
    }),
    missing: sessionPhases.filter(({ id }) => id !== 'retest' && !present.has(id)).map(({ title }) => title),
  };
}
