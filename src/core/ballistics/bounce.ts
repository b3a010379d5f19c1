import type { BallNumbers } from './balls';
import type { Axis, Motion } from './motion';
import type { BouncyNumbers } from './surfaces';

const { abs, min, sqrt } = Math;

/**
 * A bounce off a plane across an axis, in place.
 *
 * Normal: e = ball × liveliness. Along the surface the ball slides, losing μ(1 + e) of its normal speed, until the
 * rubbing point stands still; then it grips and rolls: v changes by slip · α/(1 + α), α = I/(m r²). Any textbook of
 * mechanics; R. Cross, Grip-slip behaviour of a bouncing ball (2002), from memory. No energy is ever won.
 * @returns true when it gripped, false when it slid all the way
 */
export function bounce(ball: BallNumbers, surface: BouncyNumbers, m: Motion, axis: Axis): boolean {
  const b = ((axis + 1) % 3) as Axis;
  const c = ((axis + 2) % 3) as Axis;
  const normal = m[3 + axis]!;
  const rub = normal < 0 ? -ball.radiusM : ball.radiusM;
  const e = min(1, ball.restitution * surface.liveliness);
  m[3 + axis] = -e * normal;

  const slipB = m[3 + b]! + rub * m[6 + c]!;
  const slipC = m[3 + c]! - rub * m[6 + b]!;
  const slip = sqrt(slipB * slipB + slipC * slipC);
  if (slip < 1e-12) return true;
  const toGrip = (slip * ball.inertia) / (1 + ball.inertia);
  const sliding = surface.friction * (1 + e) * abs(normal);
  const change = min(toGrip, sliding);
  const [byB, byC] = [(-change * slipB) / slip, (-change * slipC) / slip];
  m[3 + b] = m[3 + b]! + byB;
  m[3 + c] = m[3 + c]! + byC;
  const turn = rub / (ball.inertia * ball.radiusM * ball.radiusM);
  m[6 + b] = m[6 + b]! - turn * byC;
  m[6 + c] = m[6 + c]! + turn * byB;
  return toGrip <= sliding;
}

/** Energy over mass, J/kg: of the flight, of the spin, and of the height. */
export function energyPerKg(ball: BallNumbers, m: Motion, gravity: number): number {
  const flight = (m[3]! ** 2 + m[4]! ** 2 + m[5]! ** 2) / 2;
  const spin = (ball.inertia * ball.radiusM ** 2 * (m[6]! ** 2 + m[7]! ** 2 + m[8]! ** 2)) / 2;
  return flight + spin + gravity * m[1]!;
}
