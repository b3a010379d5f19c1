import { remembering } from '../../base/remember';
import { handHeightM, overheadM } from './reach';
import type { WallSetup } from './setup';
import { wallLimits } from './setup';
import { solveWall, type WallSolution } from './solve';

/** The numbers of a set-up that a mend may change. */
export type Dial = 'distanceM' | 'targetM' | 'contactM';

/** A change that makes a rally possible. */
export interface WallMend {
  readonly dial: Dial;
  readonly value: number;
}

const steps: Readonly<Record<Dial, number>> = { distanceM: 0.25, targetM: 0.1, contactM: 0.05 };
const round = (value: number): number => Math.round(value * 100) / 100;

/** For each dial alone, the nearest setting at which a rally works; none for a dial that cannot help. */
export function nearestThatWork(setup: WallSetup): WallMend[] {
  return (Object.keys(steps) as Dial[]).flatMap((dial) => {
    const { min, max } = wallLimits[dial];
    for (let k = 1; k <= 24; k++)
      for (const sign of [-1, 1]) {
        const value = round(setup[dial] + sign * k * steps[dial]);
        if (value >= min && value <= max && solveWall({ ...setup, [dial]: value }).ok)
          return [{ dial, value }];
      }
    return [];
  });
}

/** A mark and a distance that give a tempo; the tempos there are when none do. */
export type ForTempo =
  | { readonly ok: true; readonly setup: WallSetup; readonly solution: WallSolution }
  | { readonly ok: false; readonly slowest: number | null; readonly fastest: number | null };

/** Marks searched, metres, and in what steps. */
const marks = { from: 0.4, to: 4.6, step: 0.2 } as const;
/** Distances searched, metres. */
const distances = { from: 0.8, to: 10 } as const;

const tempoOf = (setup: WallSetup): number | null => {
  const answer = solveWall(setup);
  return answer.ok ? answer.solution.hitsPerMin : null;
};

/**
 * The mark on the wall for a wanted number of hits a minute, to half a centimetre.
 *
 * A rally's tempo is made by its heights: up to the mark, down from it, up to the hand. However far away the player
 * stands, the same heights take the same time; a longer way is flown faster. So it is the mark that is looked for.
 * @param hitsPerMin > 0
 */
export function markForTempo(setup: WallSetup, hitsPerMin: number): ForTempo {
  const at = (targetM: number) => ({ targetM, tempo: tempoOf({ ...setup, targetM }) });
  const known: { readonly targetM: number; readonly tempo: number }[] = [];
  for (let targetM: number = marks.from; targetM <= marks.to + 1e-9; targetM += marks.step) {
    const { tempo } = at(targetM);
    if (tempo !== null) known.push({ targetM, tempo });
  }
  for (let k = 0; k + 1 < known.length; k++) {
    let [a, b] = [known[k]!, known[k + 1]!];
    if (a.tempo < hitsPerMin === b.tempo < hitsPerMin) continue;
    while (b.targetM - a.targetM > 0.005) {
      const { targetM, tempo } = at((a.targetM + b.targetM) / 2);
      if (tempo === null) break;
      if (tempo < hitsPerMin === a.tempo < hitsPerMin) a = { targetM, tempo };
      else b = { targetM, tempo };
    }
    const found = { ...setup, targetM: a.targetM };
    const answer = solveWall(found);
    if (answer.ok && Math.abs(answer.solution.hitsPerMin - hitsPerMin) < 1)
      return { ok: true, setup: found, solution: answer.solution };
  }
  const tempos = known.map((one) => one.tempo);
  return tempos.length === 0
    ? { ok: false, slowest: null, fastest: null }
    : { ok: false, slowest: Math.min(...tempos), fastest: Math.max(...tempos) };
}

/**
 * The distance and the mark for a wanted tempo of somebody who hits at one speed: the mark makes the tempo, the speed
 * the distance. The distance to a centimetre.
 * @param speedMps the speed of the hit
 */
export function distanceForTempo(setup: WallSetup, hitsPerMin: number, speedMps: number): ForTempo {
  const free = { ...setup, topSpeedMps: Math.max(setup.topSpeedMps, 2 * speedMps) };
  const marked = markForTempo(free, hitsPerMin);
  if (!marked.ok) return marked;
  let low: number = distances.from;
  let high: number = distances.to;
  while (high - low > 0.01) {
    const distanceM = (low + high) / 2;
    const answer = solveWall({ ...marked.setup, distanceM });
    // From further away it has to be hit harder; where nothing works it is too far.
    if (answer.ok && answer.solution.speedMps < speedMps) low = distanceM;
    else high = distanceM;
  }
  const again = markForTempo({ ...free, distanceM: low }, hitsPerMin);
  return again.ok ? { ...again, setup: { ...again.setup, topSpeedMps: setup.topSpeedMps } } : again;
}

/** Usual distance from the wall for an age, metres: 2 m at five, 3 m at nine, 4.5 m at fifteen. Common practice. */
export function usualDistanceM(age: number, sport: 'tennis' | 'table tennis'): number {
  const tennis = Math.min(5, Math.max(1.5, 2 + 0.25 * (age - 5)));
  return sport === 'tennis' ? tennis : tennis / 2;
}

/** Hardest hit that stays a swing with control, m/s: ours, by age. */
export function topSpeedFor(age: number, sport: 'tennis' | 'table tennis'): number {
  const tennis = Math.min(24, Math.max(7, 7 + 1.6 * (age - 5)));
  return sport === 'tennis' ? tennis : Math.min(14, Math.max(5, 5 + 0.9 * (age - 5)));
}

/**
 * The set-up for a child: the usual distance of their age, the ball met half-way between knee and hip (over a table, a
 * hand's breadth over its edge), and the lowest mark on the wall from which it comes up that high and is met past its top.
 * The rules are ours; the mark is the flight's.
 * @returns null when no mark on this wall works
 */
export const setupFor = (setup: WallSetup, { age, heightM, sport }: SetUpChild): WallSetup | null =>
  setUp(setup, { age, heightM, sport });

interface SetUpChild {
  readonly age: number;
  readonly heightM: number;
  readonly sport: 'tennis' | 'table tennis';
}

// Dozens of walls are solved for it, and the page of the bench asks for the same one each time.
const setUp = remembering((setup: WallSetup, child: SetUpChild): WallSetup | null => {
  const { age, heightM, sport } = child;
  const usualM = usualDistanceM(age, sport);
  const { shot } = setup;
  const over: Partial<WallSetup> = {
    contactM: handHeightM(shot, heightM),
    distanceM:
      shot === 'table'
        ? round(setup.tableGapM + setup.tableLengthM + 0.2)
        : shot === 'volley'
          ? 0.75 * usualM
          : usualM,
    ...(shot === 'down' && { hitM: overheadM(heightM) }),
  };
  const start = { ...setup, ...over, topSpeedMps: topSpeedFor(age, sport) };
  for (let targetM = Math.ceil(10 * start.contactM) / 10; targetM <= setup.wallTopM; targetM += 0.1) {
    const tried = { ...start, targetM: round(targetM) };
    const answer = solveWall(tried);
    if (answer.ok && answer.solution.risingMps < 0) return tried;
  }
  return null;
});
