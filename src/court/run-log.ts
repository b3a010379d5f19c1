import { monotonicFactory } from 'ulid';
import { mostAheadMs } from '@/core/counting/check';
import { forEverybody } from '@/core/counting/conditions';
import { ruleOf, type EventKind, type TouchEvent } from '@/core/counting/event';
import { liveEvents } from '@/core/counting/live';
import { idTimeMs } from '@/core/counting/ulid-time';
import { cutText, soundText } from '@/core/base/text';
import { longestText } from '@/core/counting/event';
import type { EventStore, HeldBack, Where } from './held-back';
import { Outbox, type SendResult } from './outbox';

export interface RunPorts {
  readonly store: EventStore;
  readonly send: (events: readonly TouchEvent[]) => Promise<SendResult>;
  readonly later: (work: () => void, ms: number) => void;
  /** Wall clock and monotonic clock, milliseconds. */
  readonly clock: { now(): number; mono(): number };
  readonly device: string;
  /** Who counts here, where it is not the session's coach. */
  readonly by?: () => string | null;
  /** The session's blocks: what this device keeps of them is shown again. */
  readonly blockIds?: readonly string[];
  /** The session itself: what was counted in it here is offered again even where its block is gone. */
  readonly sessionId?: string;
  /** Which events left on this device may be sent from here; without it all of them. */
  readonly mine?: (event: TouchEvent) => boolean;
  /** What a block is, to be written down when it is begun; null where that is not for this page to say. */
  readonly begin?: (blockId: string) => string | null;
  /** What a player does in a block now, by its fingerprint. */
  readonly under?: (blockId: string, playerId: string | null) => string | null;
  /** Where an event was made, in words. */
  readonly where?: (event: TouchEvent) => Where | null;
  /**
   * Resolves when the screen stands as the server drew it: only then is what this device kept added to it. Without it
   * that is at once.
   */
  readonly stands?: Promise<void>;
  /** Resolves when the screen has had its turn; at once without it. */
  readonly drawn?: () => Promise<void>;
  /** Tells other tabs of this device. */
  readonly share?: (event: TouchEvent) => void;
}

/** What is new in an event; the log adds the rest. */
export interface NewEvent {
  readonly blockId: string;
  readonly playerId: string | null;
  readonly kind: EventKind;
  readonly attempt?: number;
  readonly value?: number | null;
  readonly ref?: string | null;
  readonly text?: string | null;
  /** How it came about, where nobody pressed or typed it. */
  readonly origin?: string | null;
  /** When it was made, where that was earlier. */
  readonly atMs?: number;
}

export interface LogState {
  /** On the server. */
  readonly safe: number;
  /** Kept on this device, on their way. */
  readonly waiting: number;
  /** Not kept yet, or cannot be kept: gone if the page goes. */
  readonly loose: number;
  /** Not taken by the server; kept on this device until somebody says what becomes of them. */
  readonly heldBack: readonly HeldBack[];
  readonly trouble: string | null;
  /** Set when the server takes nothing from this device any more. */
  readonly closed: string | null;
  readonly reachable: boolean;
}

/** Events of another tab are sent from here too, if that tab should go: after so long, milliseconds. Ours. */
const twinsMs = 500;

export const listKey = (blockId: string, playerId: string | null) => `${blockId} ${playerId ?? ''}`;
const noEvents: readonly TouchEvent[] = [];

/**
 * The log of a running session on this device. An event is shown at once, kept on the device next,
 * and sent to the server until it says it is stored. Sending the same event twice does no harm.
 */
export class RunLog {
  readonly #ports: RunPorts;
  readonly #outbox: Outbox;
  readonly #listeners = new Set<() => void>();
  readonly #lists = new Map<string, readonly TouchEvent[]>();
  readonly #known = new Map<string, TouchEvent>();
  readonly #lives = new Map<string, { events: readonly TouchEvent[]; live: readonly TouchEvent[] }>();
  readonly #merged = new Map<string, { block: unknown; own: unknown; events: readonly TouchEvent[] }>();
  /** Resolves when what an earlier page left on this device is taken up. */
  readonly opened: Promise<void>;
  #nextUlid = monotonicFactory();
  /** Ids never run backwards, whatever the device's clock does. */
  #floorMs = 0;
  #madeMs = 0;
  #answers = true;
  #version = 0;
  #state: LogState;

  constructor(fromServer: readonly TouchEvent[], ports: RunPorts) {
    this.#ports = ports;
    this.#outbox = new Outbox({
      store: ports.store,
      send: ports.send,
      later: ports.later,
      nowMs: () => Math.round(ports.clock.now()),
      where: ports.where,
      onChange: () => this.#tell(),
      onHeldBack: (events) => events.forEach((event) => this.#drop(event)),
    });
    this.#add(fromServer);
    this.#outbox.confirm(fromServer);
    this.#state = this.#snapshot();
    this.opened = this.#takeUp();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  readonly state = (): LogState => this.#state;

  /** Goes up with every event that is new here: what counts are drawn from has changed. */
  readonly version = (): number => this.#version;

  get device(): string {
    return this.#ports.device;
  }
  /** The build of the server that answered last; null before any did. */
  get build(): string | null {
    return this.#outbox.build;
  }

  events(blockId: string, playerId: string | null): readonly TouchEvent[] {
    return this.#lists.get(listKey(blockId, playerId)) ?? noEvents;
  }

  /** What a player's count is made of: their own events, and what was adjusted for everybody in the block. */
  eventsOf(blockId: string, playerId: string): readonly TouchEvent[] {
    const [block, own] = [this.events(blockId, null), this.events(blockId, playerId)];
    const key = listKey(blockId, playerId);
    const known = this.#merged.get(key);
    if (known && known.block === block && known.own === own) return known.events;
    const forAll = forEverybody(block);
    // The list stays the same thing while nothing that counts here has changed.
    const events = forAll.length === 0 ? own : [...forAll, ...own];
    this.#merged.set(key, { block, own, events });
    return events;
  }

  /** Takes in events of other devices, which the server has, or of another tab here, which are still on their way. */
  receive(events: readonly TouchEvent[], from: 'server' | 'tab'): void {
    // A helper's tab does not take over what a coach's tab on the same device counts for others.
    const taken = from === 'server' ? events : events.filter(this.#ports.mine ?? (() => true));
    const fresh = taken.filter((event) => !this.#known.has(event.id));
    this.#add(fresh);
    if (from === 'server') {
      this.#outbox.confirm(events);
      void this.#ports.store.settle(events).catch(() => undefined);
    } else if (this.#outbox.offer(fresh) > 0) this.#outbox.soon(twinsMs);
    if (events.length > 0) this.#tell();
  }

  /**
   * The server has another history than it had: it was restored, or is another one. What it has is taken in, and what
   * this device knows besides is offered to it again.
   * @param events everything the server has of this session
   * @returns how many are offered
   */
  reconcile(events: readonly TouchEvent[]): number {
    this.#add(events);
    const there = new Set(events.map((event) => event.id));
    this.#outbox.confirmOnly(there);
    const lacking = [...this.#known.values()].filter((event) => !there.has(event.id));
    const offered = this.#outbox.offer(lacking.filter(this.#ports.mine ?? (() => true)));
    if (offered > 0) this.#outbox.soon();
    this.#tell();
    return offered;
  }

  /** The server takes nothing from this device any more: counting goes on, and all is kept here. */
  close(message: string): void {
    this.#outbox.closed = message;
    this.#tell();
  }

  /** Logs an event. It shows at once; the promise resolves when it is kept on this device (or cannot be). */
  log(fresh: NewEvent): Promise<void> {
    const record =
      ruleOf(fresh.kind).beginsBlock && !this.#isBegun(fresh.blockId) && this.#ports.begin?.(fresh.blockId);
    if (record) void this.#make({ blockId: fresh.blockId, playerId: null, kind: 'begun', text: record });
    return this.#make(fresh);
  }

  #isBegun(blockId: string): boolean {
    return this.events(blockId, null).some((event) => event.kind === 'begun');
  }

  #make({ text = null, ...fresh }: NewEvent): Promise<void> {
    const nowMs = Math.round(this.#ports.clock.now());
    const { by, under, share, drawn } = this.#ports;
    const event: TouchEvent = {
      attempt: 1,
      value: null,
      ref: null,
      atMs: nowMs,
      ...fresh,
      text:
        text === null || ruleOf(fresh.kind).text === 'record' ? text : soundText(cutText(text, longestText)),
      by: soundText(cutText(by?.() ?? '', longestText)) || null,
      id: this.#nextId(nowMs),
      monoMs: Math.round(this.#ports.clock.mono()),
      device: this.#ports.device,
      under: this.#bindsToPlan(fresh) ? (under?.(fresh.blockId, fresh.playerId) ?? null) : null,
    };
    const keeping = this.#outbox.add(event);
    this.#add([event]);
    this.#tell();
    // The disk first; other tabs can wait until this one has drawn the count.
    void (drawn?.() ?? Promise.resolve()).then(() => share?.(event));
    return keeping;
  }

  /** A count is bound to what was done when it was made, and so is what takes it back. */
  #bindsToPlan({ kind, ref }: Pick<NewEvent, 'kind' | 'ref'>): boolean {
    const { underPlan } = ruleOf(kind);
    if (typeof underPlan === 'boolean') return underPlan;
    const target = ref === null || ref === undefined ? undefined : this.#known.get(ref);
    return target !== undefined && ruleOf(target.kind).underPlan === true;
  }

  /** May a mark be corrected from here? On a helper's page only those made there. */
  isMine(id: string): boolean {
    const event = this.#known.get(id);
    return event !== undefined && (this.#ports.mine?.(event) ?? true);
  }

  /** The newest mark of a block that stands, of any player: what undo takes back. */
  lastMark(blockId: string): TouchEvent | null {
    let last: TouchEvent | null = null;
    const { mine = () => true } = this.#ports;
    for (const [key, events] of this.#lists) {
      if (!key.startsWith(`${blockId} `)) continue;
      // The clock has buttons of its own; what was adjusted or trimmed for everybody is taken back like a touch.
      const own = this.#live(key, events).findLast(
        (event) => ruleOf(event.kind).undoName !== null && mine(event),
      );
      if (own && (!last || own.id > last.id)) last = own;
    }
    return last;
  }

  /** What stands of a list; recomputed only when the list has grown. */
  #live(key: string, events: readonly TouchEvent[]): readonly TouchEvent[] {
    const known = this.#lives.get(key);
    if (known?.events === events) return known.live;
    const live = liveEvents(events);
    this.#lives.set(key, { events, live });
    return live;
  }

  /** Sends all that was logged until now. Resolves when nothing is left, or the server cannot be reached. */
  async flush(): Promise<void> {
    await this.opened;
    await this.#outbox.flush();
  }

  /** Whether the server answers when it is asked what is new; what was sent says it too, but nothing may be waiting. */
  reached(answers: boolean): void {
    if (this.#answers === answers) return;
    this.#answers = answers;
    this.#tell();
  }

  /** What becomes of events held back was said. */
  settleHeldBack(ids: readonly string[]): Promise<void> {
    return this.#outbox.settleHeldBack(ids);
  }

  /** Events left on this device by an earlier page are shown and sent again. */
  async #takeUp(): Promise<void> {
    try {
      const { store, blockIds = [], sessionId, mine = () => true, stands } = this.#ports;
      await stands;
      const [waiting, settled, heldBack] = await Promise.all([
        store.waiting(),
        store.settled(blockIds, sessionId),
        store.heldBack(),
      ]);
      this.#outbox.rememberHeldBack(heldBack.filter(({ event }) => mine(event)));
      const places = new Map([...settled, ...waiting].map(({ event, where }) => [event.id, where]));
      const left = waiting.map((one) => one.event).filter(mine);
      const had = settled.map((one) => one.event);
      this.#add([...had, ...left]);
      // What the server had and this page does not know of: it may have been restored since, so it is offered again.
      this.#outbox.offer([...had.filter(mine), ...left], (event) => places.get(event.id) ?? null);
    } catch {
      this.#outbox.storeTrouble =
        'This browser keeps nothing for this page (a private window, or its store is full). Counts go straight to the server: leave this page open until all are safe there.';
    }
    this.#tell();
    if (this.#outbox.waiting > 0) this.#outbox.soon(0);
  }

  /** Ids follow the time, never run backwards, and never follow a time that is far ahead. */
  #nextId(nowMs: number): string {
    const latestMs = nowMs + mostAheadMs;
    if (this.#madeMs > latestMs) this.#nextUlid = monotonicFactory();
    const id = this.#nextUlid(Math.max(nowMs, this.#floorMs > latestMs ? 0 : this.#floorMs));
    this.#madeMs = idTimeMs(id) ?? nowMs;
    return id;
  }

  /** Takes in events; those that are known are passed over. Each list grows once, however many are new in it. */
  #add(events: readonly TouchEvent[]): void {
    const fresh = new Map<string, TouchEvent[]>();
    for (const event of events) {
      if (this.#known.has(event.id)) continue;
      this.#known.set(event.id, event);
      this.#version += 1;
      const key = listKey(event.blockId, event.playerId);
      const list = fresh.get(key);
      if (list) list.push(event);
      else fresh.set(key, [event]);
      this.#notBefore(event);
    }
    for (const [key, list] of fresh) this.#lists.set(key, [...(this.#lists.get(key) ?? noEvents), ...list]);
  }

  /**
   * No id made here is below one of another device whose clock is ahead: an undo must come after what it takes back. One
   * from far ahead, or with an id that tells no time, is passed over: it must not pull all that follows along.
   */
  #notBefore({ id }: TouchEvent): void {
    const madeMs = idTimeMs(id);
    if (madeMs !== null && madeMs <= this.#ports.clock.now() + mostAheadMs && !this.#outbox.isLoose(id))
      this.#floorMs = Math.max(this.#floorMs, madeMs + 1);
  }

  /** Takes an event off the screen that the server does not take. */
  #drop(event: TouchEvent): void {
    if (!this.#known.delete(event.id)) return;
    this.#version += 1;
    const key = listKey(event.blockId, event.playerId);
    this.#lists.set(
      key,
      this.events(event.blockId, event.playerId).filter((one) => one.id !== event.id),
    );
  }

  #tell(): void {
    this.#state = this.#snapshot();
    for (const listener of this.#listeners) listener();
  }

  #snapshot(): LogState {
    const { safe, waiting, loose, heldBack, closed, serverTrouble, storeTrouble, reachable } = this.#outbox;
    return {
      safe,
      waiting,
      loose,
      heldBack,
      trouble: closed ?? serverTrouble ?? storeTrouble,
      closed,
      reachable: reachable && this.#answers,
    };
  }
}
