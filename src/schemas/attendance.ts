import { array, mixed, object, string } from 'yup';
import { attendances, longestWhy, type Attendance } from '@/core/players/attendance';
import { maxPlayers } from './booking';

/** Whether players came to a session; null takes back what was said. */
export const attendanceSchema = object({
  playerIds: array()
    .of(string().required('Player is missing: reload the page.'))
    .required('Players is missing: reload the page.')
    .min(1, 'Players is empty: choose somebody.')
    .max(maxPlayers, `Players: at most ${maxPlayers} in one session.`),
  attendance: mixed<Attendance>()
    .nullable()
    .oneOf([...attendances, null], `Attendance must be one of ${attendances.join(', ')}.`)
    .default(null),
});

/** Why a session was not held; null takes it back. */
export const notHeldSchema = object({
  why: string()
    .trim()
    .nullable()
    .default(null)
    .min(1, 'Reason is empty: say in a word why it was not held, such as rain.')
    .max(longestWhy, `Reason is too long: use at most ${longestWhy} letters.`),
});
