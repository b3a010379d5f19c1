const { cos, floor, imul, log, PI, sqrt } = Math;

/** A source of numbers in [0, 1). The core never makes its own chance: one of these is handed in. */
export type Random = () => number;

/**
 * A small seeded generator (mulberry32): the same seed gives the same numbers on every machine.
 * Good for demos, call schedules and simulation; not for secrets.
 * @param seed any integer; only its low 32 bits count.
 */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** One draw from the normal distribution (Box and Muller 1958). */
export function normal(random: Random, mean: number, spread: number): number {
  const radius = sqrt(-2 * log(1 - random()));
  return mean + spread * radius * cos(2 * PI * random());
}

/** A whole number from `low` to `high`, both included, each equally likely. */
export function wholeBetween(random: Random, low: number, high: number): number {
  return low + floor(random() * (high - low + 1));
}

/**
 * Draws from the normal distribution, two at a time (the polar method of Marsaglia 1964): for simulations that need
 * many. Mean 0, spread 1.
 */
export function normals(random: Random): () => number {
  let kept: number | null = null;
  return () => {
    if (kept !== null) {
      const draw = kept;
      kept = null;
      return draw;
    }
    for (;;) {
      const u = 2 * random() - 1;
      const v = 2 * random() - 1;
      const square = u * u + v * v;
      if (square >= 1 || square === 0) continue;
      const factor = sqrt((-2 * log(square)) / square);
      kept = v * factor;
      return u * factor;
    }
  };
}
