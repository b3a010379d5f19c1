import type { Impact } from './impacts';

/** A wall that throws sounds back: so long after each, so much softer. */
export interface Echo {
  readonly afterS: number;
  readonly softerDb: number;
}

/* All ours. */
/** An echo comes back to within so many seconds of its time, and of its level to within so many dB. */
const [asEarlyS, asSoftDb] = [0.005, 6] as const;
/** It is at least so much softer than what it echoes, and later than a second bounce could not be. */
const [leastSofterDb, latestS] = [4, 0.4] as const;
/** It follows at least this share of the blows. */
const leastShare = 0.5;

/**
 * The echoes of a room, from blows well apart: what follows half of them or more after the same time, softer.
 * @param impacts everything heard while a sound was taught
 */
export function echoesOf(impacts: readonly Impact[]): Echo[] {
  const loudest = Math.max(...impacts.map((one) => one.levelDb));
  const blows = impacts.filter((one) => one.levelDb > loudest - 2 * leastSofterDb);
  const after = blows.flatMap((blow) =>
    impacts.flatMap(({ atS, levelDb }) => {
      const echo = { afterS: atS - blow.atS, softerDb: blow.levelDb - levelDb };
      return echo.afterS > 0 && echo.afterS < latestS && echo.softerDb >= leastSofterDb ? [echo] : [];
    }),
  );
  const found: Echo[] = [];
  for (const one of after) {
    if (found.some((known) => Math.abs(known.afterS - one.afterS) < 2 * asEarlyS)) continue;
    const same = after.filter((other) => Math.abs(other.afterS - one.afterS) < asEarlyS);
    if (same.length < Math.max(3, leastShare * blows.length)) continue;
    const mean = (of: (echo: Echo) => number) => same.reduce((sum, echo) => sum + of(echo), 0) / same.length;
    found.push({ afterS: mean((echo) => echo.afterS), softerDb: mean((echo) => echo.softerDb) });
  }
  return found.sort((a, b) => a.afterS - b.afterS);
}

/** Those that are echoes of one before them. */
export function echoesAmong(impacts: readonly Impact[], echoes: readonly Echo[]): Set<Impact> {
  const found = new Set<Impact>();
  for (const [at, impact] of impacts.entries())
    for (let before = at - 1; before >= 0; before--) {
      const blow = impacts[before]!;
      const afterS = impact.atS - blow.atS;
      if (afterS > latestS) break;
      const is = echoes.some(
        (echo) =>
          Math.abs(echo.afterS - afterS) < asEarlyS &&
          Math.abs(echo.softerDb - (blow.levelDb - impact.levelDb)) < asSoftDb,
      );
      if (is && !found.has(blow)) found.add(impact);
    }
  return found;
}
