import type { Attendance } from '@/core/attendance';
import type { attendanceOf } from '@/data/session';

/** What was said of who came to a session, by player. */
export const saidIn = (
  rows: Awaited<ReturnType<typeof attendanceOf>>,
  sessionId: string,
): Readonly<Record<string, Attendance>> =>
  Object.fromEntries(
    rows.filter((one) => one.sessionId === sessionId).map((one) => [one.playerId, one.attendance]),
  );
