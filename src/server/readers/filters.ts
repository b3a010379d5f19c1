import { daysLater, weekOf, type FirstDay } from '@/core/plan/weekly';
import type { Database } from '@/data/database';
import { namesOnSessions, type SessionFilter } from '@/data/session';
import type { Filter } from '@/core/base/filter';
import { dayAfter } from '../base/days';

/** What a list can be narrowed to. */
export interface FilterChoices {
  readonly places: readonly string[];
  readonly coaches: readonly string[];
  /** First days of weeks, the latest first. */
  readonly weeks: readonly string[];
}

/** Names and weeks are offered so far back and ahead, weeks: ours. */
const weeksBack = 12;
const weeksAhead = 6;

export async function filterChoices(db: Database, today: string, first?: FirstDay): Promise<FilterChoices> {
  const own = weekOf(today, first);
  const weeks = Array.from({ length: weeksBack + weeksAhead + 1 }, (_, at) =>
    daysLater(own, 7 * (weeksAhead - at)),
  );
  return { ...(await namesOnSessions(db, dayAfter(today, -7 * weeksBack))), weeks };
}

/** A filter as the data are asked: a week is its seven days. */
export const asked = ({ place, coach, sport, week }: Filter): SessionFilter => ({
  place,
  coach,
  sport,
  days: week ? [week, daysLater(week, 6)] : null,
});
