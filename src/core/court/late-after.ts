/** A session is late only when it would overrun by more than this, seconds. Ours. */
export const lateAfterS = 30;
