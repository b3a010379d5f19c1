/** A press told of later than this has waited behind something else, a sleeping device say, milliseconds: ours. */
const mostLateMs = 2000;

/**
 * How long a press waited until the page heard of it, milliseconds: 0 where it cannot be known.
 * @param event what the browser tells of, with the moment the device felt it
 * @param nowMs the same clock now
 */
export function lateBy(event: { readonly timeStamp: number }, nowMs: number): number {
  const late = nowMs - event.timeStamp;
  return late >= 0 && late <= mostLateMs ? late : 0;
}
