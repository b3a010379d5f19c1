import type { Attendance } from '@/core/players/attendance';
import { fingerprint } from '@/core/base/fingerprint';
import type { absentFrom, attendanceOf } from '@/data/session';

/** What was said of who came to a session, by player. */
export const saidIn = (
  rows: Awaited<ReturnType<typeof attendanceOf>>,
  sessionId: string,
): Readonly<Record<string, Attendance>> =>
  Object.fromEntries(
    rows.filter((one) => one.sessionId === sessionId).map((one) => [one.playerId, one.attendance]),
  );

/** Who gets no turn in a session, under a short name: a court screen that was drawn for others is renewed. */
export const presenceOf = (absent: Awaited<ReturnType<typeof absentFrom>>): string =>
  fingerprint(absent.map((one) => one.playerId).join(' '));
