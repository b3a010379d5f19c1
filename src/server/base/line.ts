/**
 * A line in which one is served at a time. What costs much stands in it, so that many who ask at once cost no more than
 * one does.
 */
export class Line {
  readonly #waiting: (() => void)[] = [];
  #busy = false;

  /** How many are before whoever comes now. */
  get length(): number {
    return this.#waiting.length + (this.#busy ? 1 : 0);
  }

  /** @param most how many may wait; who comes then is sent away */
  constructor(readonly most: number) {}

  /**
   * Waits for one's turn.
   * @param signal leaves the line when it is aborted
   * @returns what gives the turn on (once; more often does nothing); null when the line is full or was left
   */
  async enter(signal: AbortSignal): Promise<(() => void) | null> {
    if (signal.aborted || (this.#busy && this.#waiting.length >= this.most)) return null;
    if (this.#busy) {
      const came = await new Promise<boolean>((resolve) => {
        const turn = () => resolve(true);
        this.#waiting.push(turn);
        signal.addEventListener('abort', () => {
          const at = this.#waiting.indexOf(turn);
          if (at !== -1) this.#waiting.splice(at, 1);
          resolve(false);
        });
      });
      if (!came) return null;
    }
    this.#busy = true;
    let given = false;
    return () => {
      if (given) return;
      given = true;
      this.#busy = false;
      // The next one is in at once: nobody may slip in between.
      const next = this.#waiting.shift();
      if (next) {
        this.#busy = true;
        next();
      }
    };
  }
}
