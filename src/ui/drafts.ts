/*
 * What was typed and is not saved yet rests in the browser, so that a page that goes (a reload, a newer version, a slip)
 * does not take it along.
 */

interface Kept<T> {
  readonly atMs: number;
  readonly value: T;
}

/** A draft nobody came back to for so long is forgotten, milliseconds: ours. */
const keptForMs = 7 * 24 * 3600 * 1000;
const nameOf = (key: string) => `vowstep-draft-${key}`;

/** Keeps a draft; what the browser cannot keep is only kept on the screen. */
export function keepDraft(key: string, value: unknown): void {
  try {
    localStorage.setItem(nameOf(key), JSON.stringify({ atMs: Date.now(), value }));
  } catch {
    // A private window, or a full store.
  }
}

/** A draft that was kept; null when there is none, or it is too old or broken. */
export function readDraft<T>(key: string): Kept<T> | null {
  try {
    const kept = JSON.parse(localStorage.getItem(nameOf(key)) ?? 'null') as Kept<T> | null;
    if (!kept || typeof kept.atMs !== 'number' || Date.now() - kept.atMs > keptForMs) return null;
    return kept;
  } catch {
    return null;
  }
}

/** Names of all drafts that rest here. */
const draftNames = (): string[] => Object.keys(localStorage).filter((name) => name.startsWith(nameOf('')));

export function countDrafts(): number {
  try {
    return draftNames().length;
  } catch {
    return 0;
  }
}

export function dropAllDrafts(): void {
  try {
    for (const name of draftNames()) localStorage.removeItem(name);
  } catch {
    // There is nothing to drop.
  }
}

export function dropDraft(key: string): void {
  try {
    localStorage.removeItem(nameOf(key));
  } catch {
    // There is nothing to drop.
  }
}
