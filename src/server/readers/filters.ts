import { daysLater, mondayOf } from '@/core/planning/weekly';
import type { Database } from '@/data/database';
import { namesOnSessions, type SessionFilter } from '@/data/session';
import type { Filter } from '@/core/filter';
import { dayAfter } from '../days';

/** What a list can be narrowed to. */
export interface FilterChoices {
  readonly places: readonly string[];
  readonly coaches: readonly string[];
  /** Mondays, the latest first. */
  readonly weeks: readonly string[];
}

/** Names and weeks are offered so far back and ahead, weeks: ours. */
const weeksBack = 12;
const weeksAhead = 6;

export async function filterChoices(db: Database, today: string): Promise<FilterChoices> {
  const monday = mondayOf(today);
  const weeks = Array.from({ length: weeksBack + weeksAhead + 1 }, (_, at) =>
    daysLater(monday, 7 * (weeksAhead - at)),
  );
  return { ...(await namesOnSessions(db, dayAfter(today, -7 * weeksBack))), weeks };
}

/** A filter as the data are asked: a week is its seven days. */
export const asked = ({ place, coach, sport, week }: Filter): SessionFilter => ({
  ...{ place, coach, sport },
  days: week ? [week, daysLater(week, 6)] : null,
});
