/** Whether a player came to a session: there all the time, later than it began, gone before it ended, or not at all. */
export const attendances = ['here', 'late', 'left', 'absent'] as const;
export type Attendance = (typeof attendances)[number];

/** Those of a list who are not said to be absent: they work, and the others wait for nobody. */
export const present = <P extends { readonly id: string }>(
  players: readonly P[],
  said: Readonly<Record<string, Attendance>>,
): P[] => players.filter(({ id }) => said[id] !== 'absent');
