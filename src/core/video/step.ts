/** What shows a clip's frames: told to go to a moment, it answers with the time of the frame that is shown then. */
export interface FramePort {
  readonly seek: (toS: number) => Promise<number>;
  readonly durationS: number;
}

/*
 * Nothing is known of how a browser picks the frame for a moment: some show a frame for as long as they think it lasts, though
 * the next one has begun. But a later moment never shows an earlier frame, so every frame is found between two moments.
 */

/** Frames are looked for in such steps, seconds: finer than those of any camera, and doubled where nothing came. */
const finestS = 1 / 480;
/** Two times closer than this are one frame's. */
const sameS = 0.0008;
/** Two moments that show different frames are brought so close that none fits between, seconds. */
const closeS = 0.0006;
/** Just beside a change a browser may show one frame and a moment later the other: it is asked so much further on, seconds. */
const beyondS = [0.002, 0.004, 0.008, 0.016, 0.033] as const;

/** Two moments close to each other, the earlier before a frame changes and the later after it; null where it never does. */
async function changeAt(
  port: FramePort,
  fromS: number,
  isAfter: (frameS: number) => boolean,
): Promise<{ readonly lowS: number; readonly highS: number } | null> {
  let lowS = Math.max(0, fromS);
  // Where a frame is shown before it begins, the change is earlier still.
  for (let byS = finestS; lowS > 0 && isAfter(await port.seek(lowS)); byS *= 2)
    lowS = Math.max(0, lowS - byS);
  const startS = lowS;
  let highS = lowS;
  for (let byS = finestS; ; byS *= 2) {
    highS = Math.min(port.durationS, startS + byS);
    if (isAfter(await port.seek(highS))) break;
    lowS = highS;
    if (highS >= port.durationS) return null;
  }
  while (highS - lowS > closeS) {
    const middleS = (lowS + highS) / 2;
    if (isAfter(await port.seek(middleS))) highS = middleS;
    else lowS = middleS;
  }
  return { lowS, highS };
}

/** Shows the first frame on one side of a change. */
async function shownBeyond(
  port: FramePort,
  fromS: number,
  side: 1 | -1,
  isThere: (frameS: number) => boolean,
): Promise<number> {
  let shown = fromS;
  for (const byS of beyondS) {
    shown = await port.seek(Math.min(port.durationS, Math.max(0, fromS + side * byS)));
    if (isThere(shown)) break;
  }
  return shown;
}

/** The next frame, however long this one lasts; the same where it is the last. @param atS time of the frame shown */
export async function frameAfter(port: FramePort, atS: number): Promise<number> {
  const isNext = (frameS: number) => frameS > atS + sameS;
  const change = await changeAt(port, atS, isNext);
  return change ? shownBeyond(port, change.highS, 1, isNext) : showsFrame(port, atS);
}

/** The frame before the one that is shown; the same where it is the first. @param atS time of the frame shown */
export async function frameBefore(port: FramePort, atS: number): Promise<number> {
  const change = await changeAt(port, atS - 2 * sameS, (frameS) => frameS >= atS - sameS);
  return shownBeyond(port, change?.lowS ?? atS - 2 * sameS, -1, (frameS) => frameS < atS - sameS);
}

/** Shows a frame again. @param atS its time */
export async function showsFrame(port: FramePort, atS: number): Promise<number> {
  const isThere = (frameS: number) => frameS >= atS - sameS;
  const change = await changeAt(port, atS - 2 * sameS, isThere);
  return change ? shownBeyond(port, change.highS, 1, isThere) : port.seek(port.durationS);
}
