/** The day of the week the demo is written for (0 is Sunday): the group meets on it, so that is what "today" is in it. */
const writtenFor = 2;

/**
 * A weekday of the demo, turned so that it lies as far from the day the demo is looked at as it was written from a Tuesday.
 * The demo is then the same story on every day of the week, and shows on each what the pictures show.
 * @param weekday as in the demo's own data, 0 (Sunday) to 6, or 7 for Sunday
 * @param today the day the demo is made for, local ISO
 * @returns 0 (Sunday) to 6
 */
export function turnedWeekday(weekday: number, today: string): number {
  const now = new Date(`${today}T00:00:00Z`).getUTCDay();
  return (weekday + now - writtenFor + 7) % 7;
}

/** How many days after the demo's day a weekday of its data comes next: 0 on the day itself. */
export const daysAhead = (weekday: number): number => (weekday - writtenFor + 7) % 7;
