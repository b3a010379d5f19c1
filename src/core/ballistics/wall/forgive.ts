import { launched } from '../motion';
import { fine } from '../flight';
import { Exchange, type RallyEnd } from './exchange';
import type { Reach } from './reach';
import { hitFromM, numbersOf, topspinOf, type WallNumbers, type WallSetup } from './setup';
import type { WallSolution } from './solve';

/** How far a hit may be off and the ball still be met. */
export interface Forgiveness {
  /** Share of the speed: slower, faster. */
  readonly slower: number;
  readonly faster: number;
  /** Aim on the wall: the lowest and highest mark that still comes back, metres. */
  readonly lowestM: number;
  readonly highestM: number;
  /** Angles up and down, radians. */
  readonly down: number;
  readonly up: number;
  /** To either side, radians, and how far off that is at the wall, metres. */
  readonly side: number;
  readonly sideAtWallM: number;
  /** What goes wrong beyond each end. */
  readonly ends: Readonly<Record<'slower' | 'faster' | 'down' | 'up', RallyEnd>>;
}

/** Widest errors looked at: half the speed, twice the speed, half a radian. */
const widest = { slower: 0.5, faster: 1, angle: 0.5 } as const;

/**
 * The error in speed, height and side a rally forgives, one at a time, the other two kept.
 * Found by halving to a thousandth of the widest error.
 */
export function forgiveness(
  setup: WallSetup,
  { speedMps, elevation }: WallSolution,
  reach: Reach,
  numbers: WallNumbers = numbersOf(setup),
): Forgiveness {
  const exchange = new Exchange(setup, numbers, reach, fine);
  const motion = new Float64Array(9);
  const topspin = topspinOf(setup);
  const endOf = (speed: number, up: number, side: number): RallyEnd | null =>
    exchange.play(
      launched(
        [setup.distanceM, hitFromM(setup), 0],
        { speedMps: speed, elevation: up, side, topspin },
        -1,
        motion,
      ),
      0,
    );
  const marks: number[] = [];
  const slower = -edge((off) => endOf(speedMps * (1 + off), elevation, 0), -widest.slower);
  const faster = edge((off) => endOf(speedMps * (1 + off), elevation, 0), widest.faster);
  const down = -edge((off) => endOf(speedMps, elevation + off, 0), -widest.angle);
  const up = edge((off) => endOf(speedMps, elevation + off, 0), widest.angle);
  const side = edge((off) => endOf(speedMps, elevation, off), widest.angle);
  // Steeper is not always higher on the wall: the marks in between count too.
  for (let k = 0; k <= 24; k++) {
    endOf(speedMps, elevation - down + ((up + down) * k) / 24, 0);
    marks.push(exchange.wallM);
  }
  const beyond = (speed: number, angle: number): RallyEnd => endOf(speed, angle, 0) ?? 'long';
  return {
    slower,
    faster,
    lowestM: Math.min(...marks),
    highestM: Math.max(...marks),
    down,
    up,
    side,
    sideAtWallM: Math.tan(side) * setup.distanceM,
    ends: {
      slower: beyond(speedMps * (1 - slower - 0.02), elevation),
      faster: beyond(speedMps * (1 + faster + 0.02), elevation),
      down: beyond(speedMps, elevation - down - 0.02),
      up: beyond(speedMps, elevation + up + 0.02),
    },
  };
}

/** The widest error to one side that still is met, found from the middle outwards. */
function edge(endOf: (off: number) => RallyEnd | null, widestOff: number): number {
  const steps = 60;
  let good = 0;
  let bad = widestOff;
  for (let k = 1; k <= steps; k++) {
    const off = (widestOff * k) / steps;
    if (endOf(off) === null) good = off;
    else {
      bad = off;
      break;
    }
  }
  for (let round = 0; round < 12 && good !== widestOff; round++) {
    const middle = (good + bad) / 2;
    if (endOf(middle) === null) good = middle;
    else bad = middle;
  }
  return good;
}
