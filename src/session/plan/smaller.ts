import { measures, resultInWords } from '@/core/counting/measure';
import { lapOf } from '@/core/movement/course';
import type { Course } from '@/core/movement/layout';
import type { KitAtHand } from '@/core/venues/needs';
import type { Place } from '@/core/venues/place';
import { fitsHere } from '@/core/venues/fits';
import type { Beside } from '@/core/venues/side-by-side';
import { layoutOf, type LayoutChild } from '@/drills/layouts';
import { ageOfBand } from '@/drills/base/age-band';
import type { AgeBand, Drill, Step } from '@/drills/base/types';
import { markFor } from '../base/goals';

/** Half its size is another drill. Ours. */
const sizes = Array.from({ length: 10 }, (_, n) => 95 - 5 * n);

/** The largest size below its own at which a drill fits here; how wide a wall or a table is, nobody makes smaller. */
export function smallerFit(
  drill: Drill,
  { players, stations }: Pick<Beside, 'players' | 'stations'>,
  place: Place,
  atHand: KitAtHand,
): number | null {
  if (drill.space.needs.some((need) => need === 'wall' || need === 'table')) return null;
  const fits = (percent: number) => {
    const [lengthM, widthM] = [drill.space.lengthM, drill.space.widthM].map((m) => (m * percent) / 100);
    const space = { ...drill.space, lengthM: lengthM!, widthM: widthM! };
    return fitsHere({ ...drill, space }, players, stations, place, atHand).verdict !== 'no';
  };
  return sizes.find(fits) ?? null;
}

/** A mark of an age as it is, and what shows the same on a way of another size; in words. */
export interface SizedMark {
  readonly band: AgeBand;
  readonly was: string;
  readonly now: string;
}

const sized = ({ from, legs }: Course, by: number): Course => {
  const put = ({ x, y }: { readonly x: number; readonly y: number }) => ({ x: x * by, y: y * by });
  return {
    from: put(from),
    legs: legs.map(({ roundM, ...leg }) => ({
      ...leg,
      to: put(leg.to),
      ...(roundM !== undefined && { roundM: roundM * by }),
    })),
  };
};

/**
 * What the mark of a step on a way becomes when the way is made another size: in the proportion of what a lap takes. Null
 * where no way sets the pace, or the mark stays.
 * @param percent of its own size, > 0
 */
export function markAtSize(
  drill: Drill,
  step: Step,
  band: AgeBand,
  percent: number,
  child: LayoutChild,
): SizedMark | null {
  const course = layoutOf(drill, step, child)?.course;
  if (!step.paces || !course) return null;
  const lapS = (one: Course) => lapOf(one, ageOfBand[band], child).seconds;
  const share = lapS(sized(course, percent / 100)) / lapS(course);
  const { result } = markFor(step, band);
  const isTime = measures[step.measure].lowerIsBetter;
  if (!isTime && step.doses[band].kind !== 'timed') return null;
  const now = isTime ? Math.round(10 * result * share) / 10 : Math.max(1, Math.round(result / share));
  const words = (mark: number) => resultInWords(step.measure, mark);
  return now === result ? null : { band, was: words(result), now: words(now) };
}
