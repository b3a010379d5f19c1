/** Whether a player came to a session: there all the time, later than it began, gone before it ended, or not at all. */
export const attendances = ['here', 'late', 'left', 'absent'] as const;
export type Attendance = (typeof attendances)[number];

/** Longest reason why a session was not held, letters. */
export const longestWhy = 80;
