/**
 * Heights and lengths of the body as shares of standing height: R. Drillis and R. Contini, Body Segment Parameters
 * (1966), as reprinted in D. Winter, Biomechanics and Motor Control of Human Movement. Written down from memory.
 * They are means of adults; from about six years on children are near them (a little shorter in the leg).
 */
export const bodyShare = {
  knee: 0.285,
  hip: 0.53,
  shoulder: 0.818,
  eye: 0.936,
  /** Shoulder to fingertip: upper arm 0.186, forearm 0.146, hand 0.108. */
  arm: 0.44,
} as const;

/** The belt is at the navel, six tenths of the height: common practice. */
export const beltShare = 0.6;
