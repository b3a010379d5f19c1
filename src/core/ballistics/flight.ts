import { g } from '../base/gravity';
import type { BallNumbers } from './balls';
import type { Axis, Motion } from './motion';

const { min, sqrt } = Math;
/** No moment of the step. */
const never = NaN;

/** How far one step of a flight goes: in seconds at most, and as a share of the time in which drag and lift bend it. */
export interface Fineness {
  readonly longestS: number;
  readonly share: number;
}

/** Within a tenth of a millimetre of the reference integrator over any flight in range (see the tests). */
export const fine: Fineness = { longestS: 0.08, share: 0.14 };

/**
 * The flight of a ball under gravity, quadratic drag and the lift of its spin, step by step.
 *
 * Drag: a = −½ρAC_d/m · |v| v. Lift: C_L = 1/(2 + v/(Rω)) (Stepanek 1988, memory) across spin and flight; spin is kept
 * through a flight. Steps are those of Runge and Kutta (fourth order); between them each coordinate is the polynomial of
 * degree five that has place, speed and acceleration at both ends, so where it meets a plane is solved and never
 * stepped over. Air bends a flight weakly: few long steps of a low order beat high orders here.
 */
export class Flight {
  /** Seconds since the start of the flight at the start of the step. */
  atS = 0;
  /** Seconds the step lasts. */
  stepS = 0;
  readonly #fineness: Fineness;
  #motion: Motion = new Float64Array(9);
  #dragPerM = 0;
  #liftSpeed = 0;
  #twiceRim = 0;
  /** The axis of the spin. */
  readonly #spin = new Float64Array(3);
  /** Place, speed and acceleration at the start and at the end of the step: x, y, z each. */
  readonly #start = new Float64Array(9);
  readonly #end = new Float64Array(9);
  /** The polynomial asked for last, and of which axis it is. */
  #shaped: Axis | null = null;
  #c0 = 0;
  #c1 = 0;
  #c2 = 0;
  #c3 = 0;
  #c4 = 0;
  #c5 = 0;
  /** An acceleration on its way. */
  readonly #a = new Float64Array(3);

  constructor(fineness = fine) {
    this.#fineness = fineness;
  }

  /** Starts a flight; the motion is followed, and changed in place by {@link settle}. */
  start(ball: BallNumbers, motion: Motion): void {
    const wx = motion[6]!;
    const wy = motion[7]!;
    const wz = motion[8]!;
    const spin = sqrt(wx * wx + wy * wy + wz * wz);
    const over = spin > 0 ? 1 / spin : 0;
    const rim = ball.radiusM * spin;
    this.#motion = motion;
    this.#dragPerM = ball.dragPerM;
    this.#liftSpeed = ball.liftPerM * rim;
    this.#twiceRim = 2 * rim;
    this.#spin[0] = wx * over;
    this.#spin[1] = wy * over;
    this.#spin[2] = wz * over;
    this.atS = 0;
    const at = this.#start;
    for (let n = 0; n < 6; n++) at[n] = motion[n]!;
    this.#accelerate(at[3]!, at[4]!, at[5]!);
    for (let axis = 0; axis < 3; axis++) at[6 + axis] = this.#a[axis]!;
    this.#step();
  }

  /** Goes on with the next step. */
  next(): void {
    this.atS += this.stepS;
    this.#start.set(this.#end);
    this.#step();
  }

  /** Ends the flight within the step: the motion takes place and speed from there. */
  settle(intoS: number): void {
    const m = this.#motion;
    for (let axis = 0; axis < 3; axis++) {
      m[axis] = this.position(axis as Axis, intoS);
      m[3 + axis] = this.velocity(axis as Axis, intoS);
    }
    this.atS += intoS;
  }

  /** Position on an axis, so many seconds into the step. */
  position(axis: Axis, intoS: number): number {
    this.#shape(axis);
    const s = intoS / this.stepS;
    return this.#c0 + s * (this.#c1 + s * (this.#c2 + s * (this.#c3 + s * (this.#c4 + s * this.#c5))));
  }

  /** Speed along an axis, so many seconds into the step. */
  velocity(axis: Axis, intoS: number): number {
    this.#shape(axis);
    const s = intoS / this.stepS;
    const slope = this.#c1 + s * (2 * this.#c2 + s * (3 * this.#c3 + s * (4 * this.#c4 + s * 5 * this.#c5)));
    return slope / this.stepS;
  }

  /** The polynomial of an axis in shares of the step: made when it is asked for, kept while it is the same. */
  #shape(axis: Axis): void {
    if (this.#shaped === axis) return;
    this.#shaped = axis;
    const h = this.stepS;
    const start = this.#start;
    const end = this.#end;
    const p = start[axis]!;
    const v = start[3 + axis]! * h;
    const a = (start[6 + axis]! * h * h) / 2;
    const gapP = end[axis]! - (p + v + a);
    const gapV = end[3 + axis]! * h - (v + 2 * a);
    const gapA = end[6 + axis]! * h * h - 2 * a;
    this.#c0 = p;
    this.#c1 = v;
    this.#c2 = a;
    this.#c3 = 10 * gapP - 4 * gapV + gapA / 2;
    this.#c4 = -15 * gapP + 7 * gapV - gapA;
    this.#c5 = 6 * gapP - 3 * gapV + gapA / 2;
  }

  /**
   * When the step first crosses a plane in one direction, seconds into it; NaN when it does not.
   * A start on the plane is no crossing. Within a step each coordinate turns at most once.
   * @param toward 1: with growing coordinate, -1: with falling
   */
  crossing(axis: Axis, level: number, toward: 1 | -1): number {
    const slopeAtStart = toward * this.#start[3 + axis]!;
    const slopeAtEnd = toward * this.#end[3 + axis]!;
    if (slopeAtStart < 0 && slopeAtEnd < 0) return never;
    const before = toward * (this.#start[axis]! - level);
    const after = toward * (this.#end[axis]! - level);
    const onPlane = before < 1e-9 && before > -1e-9;
    if (slopeAtStart >= 0 && slopeAtEnd >= 0) {
      if (onPlane || before > 0 || after < 0) return never;
      return this.#root(axis, level, toward, 0, this.stepS);
    }
    // Goes towards the plane and turns away: too low already, or beyond.
    if (slopeAtStart >= 0 && (onPlane || before > 0)) return never;
    // Goes away from it first and comes back, but not so far.
    if (slopeAtStart < 0 && after < 0) return never;
    const turn = this.#turn(axis);
    const peak = toward * (this.position(axis, turn) - level);
    if (slopeAtStart >= 0) return peak < 0 ? never : this.#root(axis, level, toward, 0, turn);
    return peak >= 0 ? never : this.#root(axis, level, toward, turn, this.stepS);
  }

  /** When the step turns on an axis (the top of an arc on y), seconds into it; NaN when it does not. */
  turning(axis: Axis): number {
    return this.#start[3 + axis]! > 0 !== this.#end[3 + axis]! > 0 ? this.#turn(axis) : never;
  }

  /** Newton on the way between two moments that lie on both sides, with halving where it would leave them. */
  #root(axis: Axis, level: number, toward: 1 | -1, from: number, to: number): number {
    this.#shape(axis);
    const h = this.stepS;
    const c0 = this.#c0 - level;
    const c1 = this.#c1;
    const c2 = this.#c2;
    const c3 = this.#c3;
    const c4 = this.#c4;
    const c5 = this.#c5;
    let low = from / h;
    let high = to / h;
    let at = 0.5 * (low + high);
    for (let round = 0; round < 40; round++) {
      const value = toward * (c0 + at * (c1 + at * (c2 + at * (c3 + at * (c4 + at * c5)))));
      if (value < 1e-10 && value > -1e-10) break;
      if (value < 0) low = at;
      else high = at;
      const slope = toward * (c1 + at * (2 * c2 + at * (3 * c3 + at * (4 * c4 + at * 5 * c5))));
      const next = at - value / slope;
      at = next > low && next < high ? next : 0.5 * (low + high);
    }
    return at * h;
  }

  #turn(axis: Axis): number {
    this.#shape(axis);
    const c1 = this.#c1;
    const c2 = this.#c2;
    const c3 = this.#c3;
    const c4 = this.#c4;
    const c5 = this.#c5;
    const first = this.#start[3 + axis]!;
    const last = this.#end[3 + axis]!;
    let low = 0;
    let high = 1;
    let at = first / (first - last);
    for (let round = 0; round < 40; round++) {
      const slope = c1 + at * (2 * c2 + at * (3 * c3 + at * (4 * c4 + at * 5 * c5)));
      if (slope < 1e-10 && slope > -1e-10) break;
      if (slope > 0 === first > 0) low = at;
      else high = at;
      const next = at - slope / (2 * c2 + at * (6 * c3 + at * (12 * c4 + at * 20 * c5)));
      at = next > low && next < high ? next : 0.5 * (low + high);
    }
    return at * this.stepS;
  }

  /** Acceleration at a speed, into `#a`. */
  #accelerate(vx: number, vy: number, vz: number): void {
    const speed = sqrt(vx * vx + vy * vy + vz * vz);
    const drag = -this.#dragPerM * speed;
    const a = this.#a;
    a[0] = drag * vx;
    a[1] = drag * vy - g;
    a[2] = drag * vz;
    if (this.#liftSpeed === 0 || speed === 0) return;
    const lift = (this.#liftSpeed * speed) / (this.#twiceRim + speed);
    const wx = this.#spin[0]!;
    const wy = this.#spin[1]!;
    const wz = this.#spin[2]!;
    a[0] += lift * (wy * vz - wz * vy);
    a[1] += lift * (wz * vx - wx * vz);
    a[2] += lift * (wx * vy - wy * vx);
  }

  /** One step of Runge and Kutta from the start to the end. */
  #step(): void {
    const start = this.#start;
    const end = this.#end;
    const a = this.#a;
    const vx = start[3]!;
    const vy = start[4]!;
    const vz = start[5]!;
    const ax1 = start[6]!;
    const ay1 = start[7]!;
    const az1 = start[8]!;
    const speed = sqrt(vx * vx + vy * vy + vz * vz);
    const rate = 2 * this.#dragPerM * speed + this.#liftSpeed + 1e-9;
    const h = min(this.#fineness.longestS, this.#fineness.share / rate);
    this.stepS = h;
    this.#shaped = null;
    const half = h / 2;

    this.#accelerate(vx + half * ax1, vy + half * ay1, vz + half * az1);
    const ax2 = a[0]!;
    const ay2 = a[1]!;
    const az2 = a[2]!;
    this.#accelerate(vx + half * ax2, vy + half * ay2, vz + half * az2);
    const ax3 = a[0]!;
    const ay3 = a[1]!;
    const az3 = a[2]!;
    this.#accelerate(vx + h * ax3, vy + h * ay3, vz + h * az3);

    // Places: x + hv + h²/6 (a₁ + a₂ + a₃), because the acceleration knows nothing of the place.
    const sixth = h / 6;
    end[0] = start[0]! + h * (vx + sixth * (ax1 + ax2 + ax3));
    end[1] = start[1]! + h * (vy + sixth * (ay1 + ay2 + ay3));
    end[2] = start[2]! + h * (vz + sixth * (az1 + az2 + az3));
    end[3] = vx + sixth * (ax1 + 2 * (ax2 + ax3) + a[0]!);
    end[4] = vy + sixth * (ay1 + 2 * (ay2 + ay3) + a[1]!);
    end[5] = vz + sixth * (az1 + 2 * (az2 + az3) + a[2]!);
    this.#accelerate(end[3], end[4], end[5]);
    end[6] = a[0]!;
    end[7] = a[1]!;
    end[8] = a[2]!;
  }
}
