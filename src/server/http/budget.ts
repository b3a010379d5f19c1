/** What may be asked: so much at once, and so much a second on and on. */
export class Budget {
  readonly #left = new Map<string, { left: number; atMs: number }>();

  /**
   * @param burst requests at once
   * @param perSecond requests a second, on and on
   * @param most who is kept in mind; whoever asked first is forgotten first
   */
  constructor(
    readonly burst: number,
    readonly perSecond: number,
    readonly most = 10_000,
  ) {}

  /** Takes one request from whoever asks; false where there is none left. @param nowMs steady milliseconds */
  take(who: string, nowMs = performance.now()): boolean {
    const known = this.#left.get(who) ?? { left: this.burst, atMs: nowMs };
    const left = Math.min(this.burst, known.left + ((nowMs - known.atMs) / 1000) * this.perSecond);
    this.#left.delete(who);
    this.#left.set(who, { left: left < 1 ? left : left - 1, atMs: nowMs });
    if (this.#left.size > this.most) this.#left.delete(this.#left.keys().next().value!);
    return left >= 1;
  }
}
