/** What shows a clip's frames: told to go to a moment, it answers with the time of the frame that is shown then. */
export interface FramePort {
  readonly seek: (toS: number) => Promise<number>;
  readonly durationS: number;
}

/** Frames are looked for in such steps, seconds: finer than those of any camera, and doubled where nothing came. */
const finestS = 1 / 480;
/** Two times closer than this are one frame's: browsers tell a frame's time to the millisecond. */
const sameS = 0.001;
/** A frame is shown for sure so long after the time it is said to begin at, seconds; tried one after the other. */
const surelyS = [0.0015, 0.003, 0.006] as const;

/** The frame before the one that is shown; the same where it is the first. @param atS time of the frame shown */
export async function frameBefore(port: FramePort, atS: number): Promise<number> {
  if (atS <= sameS) return port.seek(0);
  return port.seek(Math.max(0, atS - sameS));
}

/**
 * The next frame, however long this one lasts; the same where it is the last. It goes on until another is shown, and back to
 * the first of those it may have passed: rates may vary from frame to frame.
 * @param atS time of the frame shown
 */
export async function frameAfter(port: FramePort, atS: number): Promise<number> {
  for (let byS = finestS; ; byS *= 2) {
    const toS = Math.min(port.durationS, atS + byS);
    let found = await port.seek(toS);
    if (found > atS + sameS) {
      for (;;) {
        const before = await port.seek(Math.max(0, found - sameS));
        if (before <= atS + sameS) return showsFrame(port, found);
        found = before;
      }
    }
    if (toS >= port.durationS) return found;
  }
}

/** Shows the frame that begins about then. */
export async function showsFrame(port: FramePort, beginsS: number): Promise<number> {
  let shown = beginsS;
  for (const byS of surelyS) {
    shown = await port.seek(Math.min(port.durationS, beginsS + byS));
    if (shown > beginsS - sameS) break;
  }
  return shown;
}
