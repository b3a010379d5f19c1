import type { BallNumbers } from './balls';
import { Flight } from './flight';
import { Y, type Axis, type Motion } from './motion';

/** A plane a flight ends at. */
export interface Gate<Name extends string = string> {
  readonly name: Name;
  readonly axis: Axis;
  readonly level: number;
  readonly toward: 1 | -1;
  /** Whether the plane is really there where the ball crosses it; everywhere when left out. */
  readonly there?: (at: Motion) => boolean;
}

/** A point of a drawn path. */
export interface PathPoint {
  readonly atS: number;
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

export interface Leg<Name extends string = string> {
  /** The plane it ended at; null when it was still flying at the end of its time. */
  readonly gate: Name | null;
  readonly seconds: number;
  /** The highest the centre rose on the way, metres, and when. */
  readonly topM: number;
  readonly topS: number;
}

/** Longest flight anybody asks about, seconds. */
const longestFlightS = 12;
/** Points of a drawn path, a second. */
const pointsPerS = 60;

/**
 * Flies a motion, in place, to the first of some planes.
 * @param path filled with points of the way, when it is given
 * @param fromS the time of its first point
 */
export function flyTo<Name extends string>(
  flight: Flight,
  ball: BallNumbers,
  motion: Motion,
  gates: readonly Gate<Name>[],
  path?: PathPoint[],
  fromS = 0,
): Leg<Name> {
  flight.start(ball, motion);
  let topM = motion[1]!;
  let topS = 0;
  const rise = (intoS: number) => {
    const y = flight.position(Y, intoS);
    if (y <= topM) return;
    topM = y;
    topS = flight.atS + intoS;
  };
  // Planes crossed where they are not (over the net, beside the table) are looked at once.
  const probe = new Float64Array(9);
  while (flight.atS < longestFlightS) {
    let first = NaN;
    let met: Gate<Name> | null = null;
    for (const gate of gates) {
      const at = flight.crossing(gate.axis, gate.level, gate.toward);
      if (Number.isNaN(at) || at >= first) continue;
      if (gate.there) {
        for (const axis of [0, 1, 2] as const) {
          probe[axis] = flight.position(axis, at);
          probe[3 + axis] = flight.velocity(axis, at);
        }
        if (!gate.there(probe)) continue;
      }
      first = at;
      met = gate;
    }
    const until = met ? first : flight.stepS;
    const turn = flight.turning(Y);
    if (turn <= until) rise(turn);
    rise(until);
    if (path) draw(flight, until, path, fromS);
    if (met) {
      flight.settle(until);
      return { gate: met.name, seconds: flight.atS, topM, topS };
    }
    flight.next();
  }
  return { gate: null, seconds: flight.atS, topM, topS };
}

function draw(flight: Flight, untilS: number, path: PathPoint[], fromS: number): void {
  const count = Math.max(1, Math.ceil(untilS * pointsPerS));
  for (let k = path.length === 0 ? 0 : 1; k <= count; k++) {
    const at = (untilS * k) / count;
    path.push({
      atS: fromS + flight.atS + at,
      x: flight.position(0, at),
      y: flight.position(1, at),
      z: flight.position(2, at),
    });
  }
}
