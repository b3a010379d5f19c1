import { decodeTime, monotonicFactory } from 'ulid';
import { maxBatch } from '@/core/counting/check';
import { clockKinds, type EventKind, type TouchEvent } from '@/core/counting/event';
import { forEverybody } from '@/core/counting/conditions';
import { liveEvents } from '@/core/counting/live';

/** Where events rest on this device: until the server has them, and a few days longer for a reload without it. */
export interface EventStore {
  /** Events the server does not have yet, of any session. */
  waiting(): Promise<TouchEvent[]>;
  put(event: TouchEvent): Promise<void>;
  /** The server has these now. */
  settle(events: readonly TouchEvent[]): Promise<void>;
  /** Events of blocks that the server has. */
  settled(blockIds: readonly string[]): Promise<TouchEvent[]>;
}

export type SendResult =
  | { readonly kind: 'stored' }
  | { readonly kind: 'refused'; readonly message: string }
  /** Nothing is taken from this device any more. */
  | { readonly kind: 'closed'; readonly message: string }
  | { readonly kind: 'unreachable' };

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
  /** Which events left on this device may be sent from here; without it all of them. */
  readonly mine?: (event: TouchEvent) => boolean;
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
}

export interface LogState {
  /** Events by block and player (`''` for the clock); a list is replaced when it grows. */
  readonly lists: ReadonlyMap<string, readonly TouchEvent[]>;
  /** On the server. */
  readonly safe: number;
  /** Kept on this device, on their way. */
  readonly waiting: number;
  /** Not kept yet, or cannot be kept: gone if the page goes. */
  readonly loose: number;
  /** Refused by the server; kept on this device. */
  readonly heldBack: number;
  readonly trouble: string | null;
  /** Set when the server takes nothing from this device any more. */
  readonly closed: string | null;
  readonly reachable: boolean;
}

const clock: readonly string[] = clockKinds;
/** Touches are gathered for so long before they are sent: one batch for a quick hand, not one for every touch. Ours. */
const gatherMs = 120;
const firstRetryMs = 500;
const longestRetryMs = 8000;

export const listKey = (blockId: string, playerId: string | null) => `${blockId} ${playerId ?? ''}`;
const noEvents: readonly TouchEvent[] = [];

/**
 * The log of a running session on this device. An event is shown at once, kept on the device next,
 * and sent to the server until it says it is stored. Sending the same event twice does no harm.
 */
export class RunLog {
  readonly #ports: RunPorts;
  readonly #listeners = new Set<() => void>();
  readonly #lists = new Map<string, readonly TouchEvent[]>();
  readonly #known = new Set<string>();
  readonly #safe = new Set<string>();
  readonly #loose = new Map<string, TouchEvent>();
  readonly #queue = new Map<string, TouchEvent>();
  readonly #heldBack = new Set<string>();
  /** Writes to the device's store that are under way. */
  readonly #keeping = new Set<Promise<void>>();
  readonly #nextUlid = monotonicFactory();
  /** Resolves when what an earlier page left on this device is taken up. */
  readonly opened: Promise<void>;
  /** Ids never run backwards, whatever the device's clock does. */
  #floorMs = 0;
  #retryMs = firstRetryMs;
  #sending: Promise<void> | null = null;
  #storeTrouble: string | null = null;
  #sendTrouble: string | null = null;
  #reachable = true;
  #closed: string | null = null;
  #version = 0;
  readonly #lives = new Map<string, { events: readonly TouchEvent[]; live: readonly TouchEvent[] }>();
  readonly #merged = new Map<string, { block: unknown; own: unknown; events: readonly TouchEvent[] }>();
  #state: LogState;

  constructor(fromServer: readonly TouchEvent[], ports: RunPorts) {
    this.#ports = ports;
    for (const event of fromServer) {
      this.#add(event);
      this.#safe.add(event.id);
    }
    this.#state = this.#snapshot();
    this.opened = this.#takeUpWaiting();
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
    for (const event of fresh) {
      this.#add(event);
      if (from === 'tab') this.#queue.set(event.id, event);
    }
    if (from === 'server') {
      for (const { id } of events) {
        this.#safe.add(id);
        this.#queue.delete(id);
      }
      void this.#ports.store.settle(events).catch(() => undefined);
    }
    if (events.length > 0) this.#tell();
    if (from === 'tab' && fresh.length > 0) this.#ports.later(() => void this.flush(), firstRetryMs);
  }

  /** The server takes nothing from this device any more: counting goes on, and all is kept here. */
  close(message: string): void {
    this.#closed = message;
    this.#tell();
  }

  /** Logs an event. It shows at once; the promise resolves when it is kept on this device (or cannot be). */
  log(fresh: NewEvent): Promise<void> {
    const nowMs = Math.round(this.#ports.clock.now());
    const event: TouchEvent = {
      attempt: 1,
      value: null,
      ref: null,
      text: null,
      by: this.#ports.by?.() ?? null,
      ...fresh,
      id: this.#nextUlid(Math.max(nowMs, this.#floorMs)),
      atMs: nowMs,
      monoMs: Math.round(this.#ports.clock.mono()),
      device: this.#ports.device,
    };
    this.#add(event);
    this.#loose.set(event.id, event);
    this.#tell();
    // The disk first; other tabs can wait until this one has drawn the count.
    const keeping = this.#keep(event).finally(() => this.#keeping.delete(keeping));
    void (this.#ports.drawn?.() ?? Promise.resolve()).then(() => this.#ports.share?.(event));
    this.#keeping.add(keeping);
    return keeping;
  }

  /** The newest mark of a block that stands, of any player: what undo takes back. */
  lastMark(blockId: string): TouchEvent | null {
    let last: TouchEvent | null = null;
    for (const [key, events] of this.#lists) {
      if (!key.startsWith(`${blockId} `)) continue;
      // The clock has buttons of its own; what was adjusted or trimmed for everybody is taken back like a touch.
      const own = this.#live(key, events).findLast((event) => !clock.includes(event.kind));
      if (own && (!last || own.id > last.id)) last = own;
    }
    return last;
  }

  /** What stands of a list: worked out anew only when the list has grown. */
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
    await Promise.all(this.#keeping);
    this.#sending ??= this.#sendAll().finally(() => {
      this.#sending = null;
    });
    await this.#sending;
  }

  /** Events left on this device by an earlier page are shown and sent again. */
  async #takeUpWaiting(): Promise<void> {
    try {
      const { store, blockIds = [], mine = () => true } = this.#ports;
      const [waiting, settled] = await Promise.all([store.waiting(), store.settled(blockIds)]);
      for (const event of settled) {
        this.#add(event);
        this.#safe.add(event.id);
      }
      for (const event of waiting.filter(mine)) {
        this.#add(event);
        if (!this.#safe.has(event.id)) this.#queue.set(event.id, event);
      }
    } catch {
      this.#storeTrouble =
        'This browser keeps nothing for this page (a private window, or its store is full). Counts go straight to the server: leave this page open until all are safe there.';
    }
    this.#tell();
    if (this.#queue.size > 0) this.#ports.later(() => void this.flush(), 0);
  }

  async #keep(event: TouchEvent): Promise<void> {
    try {
      await this.#ports.store.put(event);
      this.#loose.delete(event.id);
    } catch {
      this.#storeTrouble =
        'This device’s store is full or closed: counts are not kept across a reload. Leave this page open until all are safe on the server.';
    }
    this.#queue.set(event.id, event);
    this.#tell();
    this.#ports.later(() => void this.flush(), gatherMs);
  }

  async #sendAll(): Promise<void> {
    while (this.#queue.size > 0 && this.#closed === null) {
      const batch = [...this.#queue.values()].slice(0, maxBatch);
      if (!(await this.#send(batch))) {
        if (this.#closed !== null) return;
        this.#ports.later(() => void this.flush(), this.#retryMs);
        this.#retryMs = Math.min(longestRetryMs, this.#retryMs * 2);
        return;
      }
      this.#retryMs = firstRetryMs;
    }
  }

  /** False when the server cannot be reached. A refused batch is halved until only what is refused stays behind. */
  async #send(batch: readonly TouchEvent[]): Promise<boolean> {
    const result = await this.#ports.send(batch);
    this.#reachable = result.kind !== 'unreachable';
    if (result.kind === 'closed') this.#closed = result.message;
    if (result.kind === 'unreachable' || result.kind === 'closed') {
      this.#tell();
      return false;
    }
    if (result.kind === 'refused' && batch.length > 1) {
      const half = Math.ceil(batch.length / 2);
      return (await this.#send(batch.slice(0, half))) && (await this.#send(batch.slice(half)));
    }
    const ids = batch.map((event) => event.id);
    for (const id of ids) this.#queue.delete(id);
    if (result.kind === 'refused') {
      for (const id of ids) this.#heldBack.add(id);
      this.#sendTrouble = `The server does not take some counts: ${result.message} They are kept on this device.`;
    } else {
      for (const id of ids) {
        this.#safe.add(id);
        this.#loose.delete(id);
      }
      // When this fails the events are only sent again, which does no harm.
      await this.#ports.store.settle(batch).catch(() => undefined);
    }
    this.#tell();
    return true;
  }

  #add(event: TouchEvent): void {
    if (this.#known.has(event.id)) return;
    this.#known.add(event.id);
    this.#version += 1;
    const key = listKey(event.blockId, event.playerId);
    this.#lists.set(key, [...(this.#lists.get(key) ?? noEvents), event]);
    // Never below an event of another device whose clock is ahead: an undo must come after what it takes back.
    if (event.device !== this.#ports.device || !this.#loose.has(event.id))
      this.#floorMs = Math.max(this.#floorMs, decodeTime(event.id) + 1);
  }

  #tell(): void {
    this.#state = this.#snapshot();
    for (const listener of this.#listeners) listener();
  }

  #snapshot(): LogState {
    return {
      lists: this.#lists,
      safe: this.#safe.size,
      waiting: this.#queue.size,
      loose: this.#loose.size,
      heldBack: this.#heldBack.size,
      trouble: this.#closed ?? this.#sendTrouble ?? this.#storeTrouble,
      closed: this.#closed,
      reachable: this.#reachable,
    };
  }
}
