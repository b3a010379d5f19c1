/** How a stretch of the way is covered. */
export const manners = ['run', 'backwards', 'side step', 'walk'] as const;
export type Manner = (typeof manners)[number];

/** How fast somebody of an age starts, runs, stops and turns. */
export interface Mover {
  /** What a long sprint comes to, m/s. */
  readonly topMps: number;
  /** How soon: after so many seconds a sprint has reached 63 % of it. */
  readonly tauS: number;
  /** How hard they stop, m/s². */
  readonly brakeMps2: number;
  /** Seconds to turn and push off at a corner that has to be stopped at. */
  readonly turnS: number;
}

/** Ages the numbers are given for; between them they run straight, beyond them they stay. */
const ages = [5, 8, 10, 13, 16] as const;
/**
 * Top speeds of children who run over 20 to 30 m, and how they speed up by v(t) = v (1 − e^(−t/τ)) (Furusawa, Hill and
 * Parkinson 1927); both from memory. Stopping and turning are ours, set so that the 10 × 5 m shuttle of Eurofit comes to
 * what its tables give at ten and at fifteen (from memory: 20 to 25 s and 18 to 22 s).
 */
const movers: Readonly<Record<keyof Mover, readonly [number, number, number, number, number]>> = {
  topMps: [3.8, 4.7, 5.2, 5.9, 6.6],
  tauS: [0.75, 0.75, 0.75, 0.75, 0.75],
  brakeMps2: [3.2, 3.7, 4, 4.5, 5],
  turnS: [0.3, 0.25, 0.2, 0.18, 0.15],
};

const between = (table: readonly number[], age: number): number => {
  if (age <= ages[0]) return table[0]!;
  const next = ages.findIndex((one) => one >= age);
  if (next < 0) return table.at(-1)!;
  const share = (age - ages[next - 1]!) / (ages[next]! - ages[next - 1]!);
  return table[next - 1]! + share * (table[next]! - table[next - 1]!);
};

/** @param age years; below 5 and above 16 as at these ages */
export const moverOf = (age: number): Mover => ({
  topMps: between(movers.topMps, age),
  tauS: between(movers.tauS, age),
  brakeMps2: between(movers.brakeMps2, age),
  turnS: between(movers.turnS, age),
});

/**
 * Shares of the speed forward: backwards 60 to 75 %, side steps 60 to 70 % (from memory), the middle of each; a walk
 * as children walk to a mark, ours.
 */
const shares: Readonly<Record<Manner, number>> = { run: 1, backwards: 0.67, 'side step': 0.65, walk: 0.28 };

/** Seconds from a stand to a stand over a straight way: speeding up, then stopping, no faster than the top. */
export function straightS(mover: Mover, lengthM: number, manner: Manner): number {
  if (lengthM <= 0) return 0;
  const { tauS, brakeMps2 } = mover;
  const topMps = mover.topMps * shares[manner];
  const reachedIn = (seconds: number) => topMps * (1 - Math.exp(-seconds / tauS));
  const wayIn = (seconds: number) => topMps * (seconds - tauS * (1 - Math.exp(-seconds / tauS)));
  // How long it is sped up for: then what is left is just enough to stop in. The way grows with it.
  let [less, more] = [0, lengthM / topMps + 5 * tauS];
  for (let n = 0; n < 60; n++) {
    const middle = (less + more) / 2;
    if (wayIn(middle) + reachedIn(middle) ** 2 / (2 * brakeMps2) < lengthM) less = middle;
    else more = middle;
  }
  return less + reachedIn(less) / brakeMps2;
}
