import type { Attendance } from '@/core/attendance';
import { fingerprint } from '@/core/fingerprint';
import type { attendanceOf } from '@/data/session';

/** What was said of who came to a session, by player. */
export const saidIn = (
  rows: Awaited<ReturnType<typeof attendanceOf>>,
  sessionId: string,
): Readonly<Record<string, Attendance>> =>
  Object.fromEntries(
    rows.filter((one) => one.sessionId === sessionId).map((one) => [one.playerId, one.attendance]),
  );

/** Who is absent from a session, under a short name: a court screen that was drawn for others is renewed. */
export const presenceOf = (rows: Awaited<ReturnType<typeof attendanceOf>>): string =>
  fingerprint(
    rows
      .filter((one) => one.attendance === 'absent')
      .map((one) => one.playerId)
      .sort()
      .join(' '),
  );
