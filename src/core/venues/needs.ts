export const spaceNeeds = ['wall', 'table', 'hard floor'] as const;
export type SpaceNeed = (typeof spaceNeeds)[number];

/** Clear space in metres, for one player or for one station. */
export interface Space {
  readonly per: 'player' | 'station';
  readonly lengthM: number;
  readonly widthM: number;
  /** Clear height needed over the floor. */
  readonly ceilingM: number;
  readonly needs: readonly SpaceNeed[];
}

export const kitPers = ['player', 'pair', 'station'] as const;

export interface KitNeed {
  /** A thing of the kit list. */
  readonly item: string;
  readonly count: number;
  readonly per: (typeof kitPers)[number];
  /** What stands in when it is missing, best first; empty when nothing does. */
  readonly standIns: readonly string[];
}

/** What has to be there for a drill. */
export interface Needs {
  readonly space: Space;
  readonly kit: readonly KitNeed[];
  readonly players: { readonly min: number; readonly max: number };
}

/** How many of a thing are at hand; Infinity for what is always there. */
export type KitAtHand = (item: string) => number;
