/** A tap this many seconds after a time box still belongs to it: a thumb is later than the eye. Ours. */
export const lateTapS = 0.8;
