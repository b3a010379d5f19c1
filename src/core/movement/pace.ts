/** How a stretch of the way is covered. */
export const manners = ['run', 'jog', 'backwards', 'side step', 'walk'] as const;
export type Manner = (typeof manners)[number];

/** How fast somebody of an age starts, runs, goes round a corner, stops and turns. */
export interface Mover {
  /** What a long sprint comes to, m/s. */
  readonly topMps: number;
  /** How soon: after so many seconds a sprint has reached 63 % of it. */
  readonly tauS: number;
  /** How hard they stop, m/s². */
  readonly brakeMps2: number;
  /** Seconds to turn and push off at a corner that has to be stopped at. */
  readonly turnS: number;
  /** How hard they lean into a bend, m/s²: round one of radius r nobody is faster than the root of this times r. */
  readonly bendMps2: number;
  /** How many feet they put down a second at most, where every foot has its place. */
  readonly feetPerS: number;
}

/** Ages the numbers are given for; between them they run straight, beyond them they stay. */
const ages = [5, 8, 10, 13, 16] as const;
/**
 * Top speeds of children who run over 20 to 30 m, and how they speed up by v(t) = v (1 − e^(−t/τ)) (Furusawa, Hill and
 * Parkinson 1927); both from memory. Stopping, turning, bends and quick feet are ours; the first two set so that the 10 × 5 m shuttle of Eurofit comes to
 * what its tables give at ten and at fifteen (from memory: 20 to 25 s and 18 to 22 s).
 */
const movers: Readonly<Record<keyof Mover, readonly [number, number, number, number, number]>> = {
  topMps: [3.8, 4.7, 5.2, 5.9, 6.6],
  tauS: [0.75, 0.75, 0.75, 0.75, 0.75],
  brakeMps2: [3.2, 3.7, 4, 4.5, 5],
  turnS: [0.3, 0.25, 0.2, 0.18, 0.15],
  bendMps2: [2.6, 3.1, 3.4, 3.8, 4.2],
  feetPerS: [3.4, 4, 4.4, 4.8, 5.1],
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
  bendMps2: between(movers.bendMps2, age),
  feetPerS: between(movers.feetPerS, age),
});

/**
 * Shares of the speed forward: backwards 60 to 75 %, side steps 60 to 70 % (from memory), the middle of each; a jog is half
 * of it and a walk as children walk to a mark, ours.
 */
const shares: Readonly<Record<Manner, number>> = {
  run: 1,
  jog: 0.5,
  backwards: 0.67,
  'side step': 0.65,
  walk: 0.28,
};

/** The fastest somebody moves in a manner, m/s. */
export const topOf = ({ topMps }: Mover, manner: Manner): number => topMps * shares[manner];

/** The first argument at which a growing function is not below a value, between 0 and a most. */
function solved(most: number, isBelow: (at: number) => boolean): number {
  let [less, more] = [0, most];
  for (let n = 0; n < 60; n++) {
    const middle = (less + more) / 2;
    if (isBelow(middle)) less = middle;
    else more = middle;
  }
  return less;
}

/** Speeding up from a speed: how fast after so many seconds, and how far by then. */
function speeding({ tauS }: Mover, topMps: number, fromMps: number) {
  const short = topMps - fromMps;
  return {
    after: (seconds: number) => topMps - short * Math.exp(-seconds / tauS),
    wayIn: (seconds: number) => topMps * seconds - short * tauS * (1 - Math.exp(-seconds / tauS)),
  };
}
/** Longer than this nobody speeds up over so many metres, seconds. */
const longestS = ({ tauS }: Mover, topMps: number, lengthM: number) => lengthM / topMps + 5 * tauS;

/** The speed somebody reaches over a straight way from a speed, m/s. */
export function reachedMps(mover: Mover, lengthM: number, manner: Manner, fromMps: number): number {
  const topMps = topOf(mover, manner);
  const { after, wayIn } = speeding(mover, topMps, fromMps);
  return after(solved(longestS(mover, topMps, lengthM), (seconds) => wayIn(seconds) < lengthM));
}

/** Speeds at the two ends of a way, m/s; what a stand is at both where nothing is said. */
export interface Ends {
  readonly fromMps: number;
  readonly toMps: number;
}

/**
 * Seconds over a straight way: speeding up, then slowing down, no faster than the top.
 * @param ends the speed it is begun with and the speed at its end, which has to be in reach over that way
 */
export function straightS(
  mover: Mover,
  lengthM: number,
  manner: Manner,
  { fromMps, toMps }: Ends = { fromMps: 0, toMps: 0 },
): number {
  if (lengthM <= 0) return 0;
  const { brakeMps2 } = mover;
  const topMps = topOf(mover, manner);
  const { after, wayIn } = speeding(mover, topMps, fromMps);
  const brakedIn = (mps: number) => Math.max(0, mps ** 2 - toMps ** 2) / (2 * brakeMps2);
  // How long it is sped up for: then what is left is just enough to slow down in. The way grows with it.
  const less = solved(
    longestS(mover, topMps, lengthM),
    (seconds) => wayIn(seconds) + brakedIn(after(seconds)) < lengthM,
  );
  return less + Math.max(0, after(less) - toMps) / brakeMps2;
}
