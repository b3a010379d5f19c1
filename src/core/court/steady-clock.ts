/** The two clocks of a device, milliseconds. */
export interface DeviceClocks {
  /** Wall clock: it can be set, forward or back. */
  now(): number;
  /** Monotonic since the page opened: it never runs back, but may stand still while the machine sleeps. */
  mono(): number;
}

/** The wall clock may lag behind the monotonic one by so much before it counts as set back, milliseconds. Ours. */
export const setBackMs = 1000;

/**
 * The time a session is run by. It follows the wall clock, so that a sleeping machine or tab loses nothing, and goes on
 * by the monotonic clock when the wall clock is set back: it never runs backwards, within a page or across reloads.
 */
export class SteadyClock {
  readonly #clocks: DeviceClocks;
  #lastMs: number;
  #wallMs: number;
  #monoMs: number;
  /** Milliseconds by which the wall clock was found set back so far; 0 when never. */
  #lostMs = 0;

  /** @param notBeforeMs the newest moment already in the log: an earlier page may have seen a clock that was ahead */
  constructor(clocks: DeviceClocks, notBeforeMs = 0) {
    this.#clocks = clocks;
    this.#wallMs = clocks.now();
    this.#monoMs = clocks.mono();
    this.#lastMs = this.#wallMs;
    this.notBefore(notBeforeMs);
  }

  /** Moves on to a moment already in the log, if the clock is behind it. */
  notBefore(ms: number): void {
    if (this.#lastMs >= ms) return;
    if (ms - this.#lastMs > setBackMs) this.#lostMs += ms - this.#lastMs;
    this.#lastMs = ms;
  }

  /**
   * Takes over another device's time, so that two devices agree on where a block's clock stands. Only for a device that
   * has logged nothing yet: its time may jump back here.
   */
  alignTo(ms: number): void {
    this.now();
    this.#lastMs = ms;
  }

  now(): number {
    const wall = this.#clocks.now();
    const mono = this.#clocks.mono();
    const byWall = wall - this.#wallMs;
    const byMono = Math.max(0, mono - this.#monoMs);
    [this.#wallMs, this.#monoMs] = [wall, mono];
    const setBack = byMono - byWall > setBackMs;
    if (setBack) this.#lostMs += byMono - byWall;
    this.#lastMs += setBack ? byMono : Math.max(0, byWall);
    return this.#lastMs;
  }

  /** Whole seconds the device's clock was set back since this page opened; 0 when it was not. */
  get setBackS(): number {
    return Math.round(this.#lostMs / 1000);
  }
}
