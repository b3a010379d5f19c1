import { wordless } from '@/core/counting/text-of';
import type { EventKind } from '@/core/counting/event';
import { things, type Bundle, type Entry, type ThingName } from '@/formats/bundle/things';

/*
 * A file from before a child was removed for good says what is not to be known any more. What was counted may come, under
 * no name, as it stands in the book; all else that is about the child, or hangs on that, is left out.
 */

/** What a removed child's counts stand in: kept here under no name, so they may come. */
const aboutCounts: ReadonlySet<ThingName> = new Set(['attendances', 'parts', 'marks']);

export class RemovedHere {
  readonly #erased: ReadonlySet<string>;
  /** Ids of what was left out, by thing. */
  readonly #out = new Map<ThingName, Set<string>>();
  /** Blocks and sessions in which somebody who was removed was counted, with who it was. */
  readonly #counted = new Set<string>();
  /** Sessions at home of who was removed. */
  readonly #home = new Set<string>();

  /** @param erased ids of the children who were removed for good */
  constructor(erased: ReadonlySet<string>, entries: Bundle['entries']) {
    this.#erased = erased;
    if (erased.size === 0) return;
    const sessionOf = new Map((entries.blocks ?? []).map(({ id, sessionId }) => [id, sessionId]));
    for (const { blockId, playerId } of entries.marks ?? [])
      if (erased.has(String(playerId)))
        for (const id of [blockId, sessionOf.get(blockId!)])
          this.#counted.add(`${String(id)} ${String(playerId)}`);
    for (const { sessionId, playerId } of entries.attendances ?? [])
      if (erased.has(String(playerId))) this.#home.add(String(sessionId));
  }

  /** An entry as it may come. */
  cleaned(name: ThingName, entry: Entry): Entry {
    if (name === 'marks' && this.#erased.has(String(entry.playerId)))
      return { ...entry, by: null, text: wordless(entry.kind as EventKind, entry.text as string | null) };
    if (name === 'sessions' && entry.kind === 'home' && this.#home.has(String(entry.id)))
      return { ...entry, title: '' };
    return entry;
  }

  /** Whether an entry is left out; what hangs on it is then left out too. @param isKnown whether the book has it */
  leavesOut(name: ThingName, entry: Entry, isKnown: boolean): boolean {
    if (this.#erased.size === 0) return false;
    const out = this.#isAbout(name, entry, isKnown) || this.#hangsOn(name, entry);
    if (out && entry.id !== undefined) {
      const ids = this.#out.get(name) ?? new Set();
      this.#out.set(name, ids.add(String(entry.id)));
    }
    return out;
  }

  #isAbout(name: ThingName, entry: Entry, isKnown: boolean): boolean {
    if (name === 'players') return this.#erased.has(String(entry.id));
    if (name === 'styles') return entry.scope === 'player' && this.#erased.has(String(entry.key));
    const about = Object.entries(things[name].fields).some(
      ([field, { of }]) => of === 'players' && this.#erased.has(String(entry[field])),
    );
    if (!about || !aboutCounts.has(name)) return about;
    // Plans to come, and sessions they missed: there they are no more.
    const at = String(name === 'attendances' ? entry.sessionId : entry.blockId);
    return !isKnown && !this.#counted.has(`${at} ${String(entry.playerId)}`);
  }

  #hangsOn(name: ThingName, entry: Entry): boolean {
    return Object.entries(things[name].fields).some(
      ([field, { of }]) => of !== undefined && this.#out.get(of)?.has(String(entry[field])),
    );
  }
}
