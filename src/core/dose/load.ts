/** What one try of a step asks of the body. */
export interface Load {
  /** Landings from a jump or hop, both feet counted once. */
  readonly contacts: number;
  /** Full overhead actions: serves, smashes, overarm throws. */
  readonly overheads: number;
  /** Hard fast actions of the forearm and wrist: quick swings, quick turns against a weight. */
  readonly forearm: number;
  /** Share done by the racket arm's side, 0 to 1; 0.5 where both sides do the same. */
  readonly strongSide: number;
}

export const noLoad: Load = { contacts: 0, overheads: 0, forearm: 0, strongSide: 0.5 };

/** The load of so many tries, good or dropped. */
export interface LoadSum {
  readonly contacts: number;
  readonly overheads: number;
  readonly forearm: number;
  /** Tries done by the strong side, and all tries. */
  readonly strongTries: number;
  readonly tries: number;
}

export const noLoadSum: LoadSum = { contacts: 0, overheads: 0, forearm: 0, strongTries: 0, tries: 0 };

/** The load of `tries` tries, >= 0. */
export function loadOf(load: Load, tries: number): LoadSum {
  return {
    contacts: load.contacts * tries,
    overheads: load.overheads * tries,
    forearm: load.forearm * tries,
    strongTries: load.strongSide * tries,
    tries,
  };
}

export function addLoads(a: LoadSum, b: LoadSum): LoadSum {
  return {
    contacts: a.contacts + b.contacts,
    overheads: a.overheads + b.overheads,
    forearm: a.forearm + b.forearm,
    strongTries: a.strongTries + b.strongTries,
    tries: a.tries + b.tries,
  };
}
