import { g } from '../../base/gravity';
import type { BallNumbers } from '../balls';
import type { Motion } from '../motion';

/**
 * The part of the reference integrator that is used: E. Hairer and G. Wanner's ODEX, npm package `odex`. It is handed in,
 * because its own type declarations do not pass this project's checks and each test runner loads it in its own way.
 */
export interface Odex {
  readonly Solver: new (dimensions: number) => {
    absoluteTolerance: number;
    relativeTolerance: number;
    solve(
      slopes: (x: number, y: number[]) => number[],
      x: number,
      y: number[],
      end: number,
    ): { y: number[]; nEval: number };
  };
}

/** Position and speed after so many seconds, written down from the equations of motion and nothing else of ours. */
export function referenceFlight(
  { Solver }: Odex,
  ball: BallNumbers,
  start: Motion,
  seconds: number,
  tolerance: number,
): number[] {
  const [wx, wy, wz] = [start[6]!, start[7]!, start[8]!];
  const spin = Math.hypot(wx, wy, wz);
  const solver = new Solver(6);
  solver.absoluteTolerance = solver.relativeTolerance = tolerance;
  const slopes = (_time: number, [, , , vx, vy, vz]: number[]): number[] => {
    const speed = Math.hypot(vx!, vy!, vz!);
    const drag = -ball.dragPerM * speed;
    // a = ½ρA/m · C_L v² along (ω × v)/(ω v), with C_L = 1/(2 + v/(Rω)).
    const lift = spin === 0 ? 0 : (ball.liftPerM * speed) / (2 + speed / (ball.radiusM * spin)) / spin;
    return [
      vx!,
      vy!,
      vz!,
      drag * vx! + lift * (wy * vz! - wz * vy!),
      drag * vy! + lift * (wz * vx! - wx * vz!) - g,
      drag * vz! + lift * (wx * vy! - wy * vx!),
    ];
  };
  return solver.solve(slopes, 0, [...start.slice(0, 6)], seconds).y;
}
