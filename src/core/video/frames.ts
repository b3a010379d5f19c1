/** The frames of a clip that were seen so far, by the times they begin at, seconds, in order. */
export type Frames = readonly number[];

/** Two times closer than this are the same frame, seconds: a quarter of the shortest at 240 frames a second. */
export const sameS = 0.001;

/** With a frame that was shown. */
export function withFrame(frames: Frames, atS: number): Frames {
  let [low, high] = [0, frames.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (frames[middle]! < atS - sameS) low = middle + 1;
    else high = middle;
  }
  const known = frames[low];
  if (known !== undefined && Math.abs(known - atS) <= sameS) return frames;
  return [...frames.slice(0, low), atS, ...frames.slice(low)];
}

/** Clips have at least so many frames a second: where the frame before is not known, it is no longer ago. Ours. */
const slowestS = 1 / 15;

/** Seconds since the frame before; as long as a slow clip's frame where that one was never shown. */
export function frameBeforeS(frames: Frames, atS: number): number {
  const before = frames.filter((one) => one < atS - sameS).at(-1);
  return before === undefined ? slowestS : Math.min(slowestS, atS - before);
}
