/**
 * The touches of a routine that goes by its weakest part: a part that was not begun stands at 0. What does not say its
 * part counts for the first.
 */
export class WeakestPart {
  private counts: number[] = [0];

  /**
   * Takes one touch and gives the touches of the weakest part so far.
   * @param part "2/4" is the second of four
   */
  touch(part: string | null): number {
    const [, at, of] = /^(\d{1,2})\/(\d{1,2})$/.exec(part ?? '') ?? [];
    const index = Math.max(1, Number(at ?? 1)) - 1;
    while (this.counts.length < Math.max(Number(of ?? 1), index + 1)) this.counts.push(0);
    this.counts[index]! += 1;
    return Math.min(...this.counts);
  }
}

/** How a touch says which part it belongs to. */
export const partInText = (part: number, of: number): string => `${part}/${of}`;
