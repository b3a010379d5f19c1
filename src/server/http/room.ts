/** Room for so many bytes at once: who finds none comes again later. */
export class Room {
  #taken = 0;
  /** @param bytes in all */
  constructor(readonly bytes: number) {}

  /** True while more than half of it is taken. */
  get crowded(): boolean {
    return this.#taken > this.bytes / 2;
  }
  get taken(): number {
    return this.#taken;
  }

  /** Takes room. @returns what gives it back (once; more often does nothing); null where there is none left */
  take(bytes: number): (() => void) | null {
    if (this.#taken + bytes > this.bytes) return null;
    this.#taken += bytes;
    let given = false;
    return () => {
      if (!given) this.#taken -= bytes;
      given = true;
    };
  }
}
