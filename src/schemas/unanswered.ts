/** Saves of a plan whose answer never came that are named with the next one, at most. Ours; by itself, as the plan screen needs no more. */
export const maxUnanswered = 20;
