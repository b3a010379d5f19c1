import type { CircuitShape, RotationOrder } from './circuit';

/** How many places there are: the stations, and one to rest at where there is a group more. */
const placesOf = (groups: number, stations: number): number => Math.max(groups, stations);

/** 0, n - 1, 1, n - 2, 2, ...: the differences between neighbours are all there are, each from both sides. */
function terrace(n: number): number[] {
  return Array.from({ length: n }, (_, index) => (index % 2 === 0 ? index / 2 : n - (index + 1) / 2));
}

/**
 * Who is where, round by round: the number of the group at each place, null where nobody is. A Latin square: every
 * group is at every place once, and every place has each group once.
 *
 * `balanced` takes the rows and columns of the square from a terrace (E. J. Williams, Australian Journal of Scientific
 * Research A 2, 1949, p. 149; R. A. Bailey, "Quasi-complete Latin squares", Journal of the Royal Statistical Society B 46,
 * 1984, p. 323; both from memory): over a whole round any two groups are neighbours exactly twice, and follow each other
 * at a station exactly twice, so nobody has the same ones beside them, or waits for the same ones, all the time. Where the
 * number of places is even, each comes before the other once.
 *
 * `one on` sends everybody to the next place: easier to remember, and always the same neighbours.
 * @param groups how many, >= 1
 * @param stations how many, >= 1; places beyond them are for resting
 */
export function rotation(groups: number, stations: number, order: RotationOrder): (number | null)[][] {
  const n = placesOf(groups, stations);
  const t = terrace(n);
  return Array.from({ length: n }, (_, round) =>
    Array.from({ length: n }, (_unused, place) => {
      const group = order === 'balanced' ? (t[round]! + t[place]!) % n : (place - round + n) % n;
      return group < groups ? group : null;
    }),
  );
}

/** A whole circuit, round by round: which group is at each of its stations, and which rests. */
export interface CircuitRound {
  /** The group at each station, by its number; null where nobody is. */
  readonly at: readonly (number | null)[];
  /** The group that rests; null where none does. */
  readonly rests: number | null;
}

export function roundsOf({ groups, of, order, times }: CircuitShape): CircuitRound[] {
  const once = rotation(groups.length, of, order).map<CircuitRound>((places) => ({
    at: places.slice(0, of),
    rests: places[of] ?? null,
  }));
  return Array.from({ length: times }, () => once).flat();
}

/** The group a player goes with; -1 for nobody's. */
export const groupOf = ({ groups }: Pick<CircuitShape, 'groups'>, playerId: string): number =>
  groups.findIndex((group) => group.includes(playerId));

/** The rounds, from 0, in which a group is at a station. */
export function visitsOf(rounds: readonly CircuitRound[], station: number, group: number): number[] {
  return rounds.flatMap(({ at }, round) => (group >= 0 && at[station] === group ? [round] : []));
}

/** Seconds of a circuit's clock: visits, and the walks between them. */
export const circuitS = (shape: CircuitShape): number => {
  const rounds = roundsOf(shape).length;
  return rounds * shape.stationS + (rounds - 1) * shape.changeS;
};

/** When a round begins, seconds of the circuit's clock. */
export const roundStartS = ({ stationS, changeS }: CircuitShape, round: number): number =>
  round * (stationS + changeS);
