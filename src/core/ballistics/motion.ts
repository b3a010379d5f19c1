const { cos, sin, hypot, PI } = Math;
/**
 * Where a ball is, how it moves, and how it spins, as nine numbers: x, y, z (metres, the ball's centre), their speeds
 * (m/s), and the spin about x, y and z (rad/s). y is up; x is along the shot; z is to the right of somebody who looks
 * along x. Changed in place by the integrator and the bounce: rallies are made of hundreds of thousands of them.
 */
export type Motion = Float64Array;

export type Axis = 0 | 1 | 2;
export const [X, Y, Z] = [0, 1, 2] as const;

/** What a hit gives a ball. */
export interface Launch {
  readonly speedMps: number;
  /** Upwards from the level, radians. */
  readonly elevation: number;
  /** To the right, radians; 0 is straight. */
  readonly side?: number;
  /** Topspin, rad/s; negative is backspin. */
  readonly topspin?: number;
}

/** A motion that starts at a point. `along` is the way the shot goes on the x axis: 1 or -1. */
export function launched(
  at: readonly [x: number, y: number, z: number],
  { speedMps, elevation, side = 0, topspin = 0 }: Launch,
  along: 1 | -1,
  into: Motion = new Float64Array(9),
): Motion {
  const level = speedMps * cos(elevation);
  into[0] = at[0];
  into[1] = at[1];
  into[2] = at[2];
  into[3] = along * level * cos(side);
  into[4] = speedMps * sin(elevation);
  into[5] = along * level * sin(side);
  // Topspin turns the top of the ball forwards: about -z for a ball that flies along +x.
  into[6] = along * topspin * sin(side);
  into[7] = 0;
  into[8] = -along * topspin * cos(side);
  return into;
}

export const speedOf = (m: Motion): number => hypot(m[3]!, m[4]!, m[5]!);

export const radians = (degrees: number): number => (degrees * PI) / 180;
export const degrees = (angle: number): number => (angle * 180) / PI;
export const fromPerMinute = (turns: number): number => (turns * 2 * PI) / 60;
