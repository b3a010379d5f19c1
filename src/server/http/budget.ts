/** What may be asked: so much at once, and so much a second on and on. */
export interface Allowance {
  readonly burst: number;
  readonly perSecond: number;
}

/** Keeps count of what was asked by whom. */
export class Budget {
  readonly #left = new Map<string, { left: number; atMs: number }>();

  /**
   * @param allowance what everybody may ask; it may be another one each time
   * @param most who is kept in mind; whoever asked first is forgotten first
   */
  constructor(
    readonly allowance: Allowance | (() => Allowance),
    readonly most = 10_000,
  ) {}

  /** What is left to somebody. @param nowMs steady milliseconds */
  left(who: string, nowMs = performance.now()): number {
    const { burst, perSecond } = typeof this.allowance === 'function' ? this.allowance() : this.allowance;
    const known = this.#left.get(who);
    return known ? Math.min(burst, known.left + ((nowMs - known.atMs) / 1000) * perSecond) : burst;
  }

  /** Takes one request, or a part of one, from whoever asks; false where there is none left. */
  take(who: string, nowMs = performance.now(), cost = 1): boolean {
    const left = this.left(who, nowMs);
    this.#left.delete(who);
    this.#left.set(who, { left: left < cost ? left : left - cost, atMs: nowMs });
    if (this.#left.size > this.most) this.#left.delete(this.#left.keys().next().value!);
    return left >= cost;
  }
}

/**
 * What one address may ask of a server that is so busy: much while it has time, and little while it has none, so that one
 * who asks without end is slowed down before all the others are. While it has time this is far more than a hall of tablets
 * asks (each asks for news once a second). Ours.
 * @param busy the share of time its event loop works, 0 to 1
 */
export function bearable(busy: number): Allowance {
  const free = Math.min(1, Math.max(0.1, (1 - busy) / (1 - busyFrom)));
  return { burst: 3000 * free, perSecond: 300 * free };
}

/** A loop that works more than this has no time to give away. Ours. */
const busyFrom = 0.7;
