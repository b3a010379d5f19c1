/** The whole length drawn of a plan: the booking, or more when the plan runs over it. A little air at the end. */
export function tapeLengthS(totalS: number, bookedS: number): number {
  return Math.max(totalS, bookedS) * 1.015;
}
