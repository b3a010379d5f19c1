import { g } from '../base/gravity';

/*
 * Closed forms of straight up and down. Vacuum and quadratic drag, any textbook of mechanics.
 */

/** Speed at which drag balances gravity, m/s. @param dragPerM ½ρAC_d/m, 1/m, > 0 */
export const terminalMps = (dragPerM: number): number => Math.sqrt(g / dragPerM);

export interface Fall {
  readonly seconds: number;
  readonly speedMps: number;
}

/** A drop from rest through air. @param heightM >= 0 */
export function fall(heightM: number, dragPerM: number): Fall {
  const v = terminalMps(dragPerM);
  const depth = (g * heightM) / (v * v);
  return {
    speedMps: v * Math.sqrt(1 - Math.exp(-2 * depth)),
    seconds: (v / g) * Math.acosh(Math.exp(depth)),
  };
}

/** A throw straight up that just reaches a height: its speed at the start, and the seconds to the top. */
export function rise(heightM: number, dragPerM: number): Fall {
  const v = terminalMps(dragPerM);
  const start = v * Math.sqrt(Math.exp((2 * g * heightM) / (v * v)) - 1);
  return { speedMps: start, seconds: (v / g) * Math.atan(start / v) };
}

/** The height a throw straight up reaches, metres. */
export function heightOfThrow(speedMps: number, dragPerM: number): number {
  const v = terminalMps(dragPerM);
  return ((v * v) / (2 * g)) * Math.log(1 + (speedMps / v) ** 2);
}
