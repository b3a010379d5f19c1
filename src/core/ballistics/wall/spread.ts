import { extremesOf, numbersOf, type WallSetup } from './setup';
import { solveWall, type WallSolution } from './solve';

/** How far a result may be off because ball, floor and wall are only known within a range. */
export interface WallSpread {
  readonly hitsPerMin: number;
  readonly speedMps: number;
  readonly bounceM: number;
  readonly backS: number;
  /** Ends of ranges at which nothing comes back to this hand: the result stands on the lucky half. */
  readonly failing: number;
}

const spreadOf = ['hitsPerMin', 'speedMps', 'bounceM', 'backS'] as const;

/**
 * The spread of a solution: each number of ball, ground and wall is put to both ends of its range, the rally solved anew,
 * and the changes added as independent errors (root of the sum of squares; the larger of both ends counts).
 */
export function wallSpread(setup: WallSetup, nominal: WallSolution): WallSpread {
  const squares = { hitsPerMin: 0, speedMps: 0, bounceM: 0, backS: 0 };
  let failing = 0;
  for (const ends of extremesOf(setup)) {
    const widest = { hitsPerMin: 0, speedMps: 0, bounceM: 0, backS: 0 };
    for (const instead of ends) {
      const answer = solveWall(setup, numbersOf(setup, instead));
      if (!answer.ok) {
        failing++;
        continue;
      }
      for (const key of spreadOf)
        widest[key] = Math.max(widest[key], Math.abs((answer.solution[key] ?? 0) - (nominal[key] ?? 0)));
    }
    for (const key of spreadOf) squares[key] += widest[key] ** 2;
  }
  const root = (key: (typeof spreadOf)[number]) => Math.sqrt(squares[key]);
  return {
    hitsPerMin: root('hitsPerMin'),
    speedMps: root('speedMps'),
    bounceM: root('bounceM'),
    backS: root('backS'),
    failing,
  };
}
