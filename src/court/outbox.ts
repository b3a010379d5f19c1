import { maxBatch } from '@/core/counting/check';
import type { TouchEvent } from '@/core/counting/event';
import type { RefusedEvent } from '@/schemas/touches';
import type { EventStore, HeldBack, Where } from './held-back';

export type SendResult =
  | { readonly kind: 'stored'; readonly build?: string }
  /** Not taken: every event that stands in the way, where the server named them. */
  | { readonly kind: 'refused'; readonly message: string; readonly refused?: readonly RefusedEvent[] }
  /** Nothing is taken from this device any more. */
  | { readonly kind: 'closed'; readonly message: string }
  /** The server could not digest it: something in it, or the server itself. */
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'unreachable'; readonly message?: string };

export interface OutboxPorts {
  readonly store: EventStore;
  readonly send: (events: readonly TouchEvent[]) => Promise<SendResult>;
  readonly later: (work: () => void, ms: number) => void;
  /** UTC milliseconds. */
  readonly nowMs: () => number;
  /** Where an event was made, in words. */
  readonly where?: (event: TouchEvent) => Where | null;
  /** Something about where events are has changed. */
  readonly onChange: () => void;
  /** The server does not take these: they count nowhere. */
  readonly onHeldBack: (events: readonly TouchEvent[]) => void;
}

/** Touches are gathered for so long before they are sent: one batch for a quick hand, not one for every touch. Ours. */
const gatherMs = 120;
const [firstRetryMs, longestRetryMs] = [500, 8000];
/** An event the server fails over so often is held back: the fault is in the event. Ours. */
const mostFailures = 3;
/** So many events that fail one after another say that the server is sick, not they. Ours. */
const sickAfter = 6;

/**
 * Does it wait for somebody to say what becomes of it? A record of what a block is, is no count: where another one holds,
 * nothing is lost with it. Of a child who was removed for good nothing rests anywhere.
 */
const isKept = ({ event, why }: HeldBack): boolean => event.kind !== 'begun' && why !== 'removed';

/**
 * What is on its way from this device to the server. Each event is kept on the device first, then sent until the server
 * says it is stored; one it does not take, or fails over, never stands in the way of the others.
 */
export class Outbox {
  readonly #ports: OutboxPorts;
  readonly #safe = new Set<string>();
  readonly #loose = new Map<string, TouchEvent>();
  readonly #queue = new Map<string, TouchEvent>();
  readonly #heldBack = new Map<string, HeldBack>();
  readonly #places = new Map<string, Where | null>();
  readonly #failures = new Map<string, number>();
  /** Writes to the device's store that are under way. */
  readonly #keeping = new Set<Promise<void>>();
  #retryMs = firstRetryMs;
  #sending: Promise<void> | null = null;
  /** What is wrong with this device's store, and with the server, in words. */
  storeTrouble: string | null = null;
  serverTrouble: string | null = null;
  closed: string | null = null;
  reachable = true;
  /** The build that answered last. */
  build: string | null = null;

  constructor(ports: OutboxPorts) {
    this.#ports = ports;
  }

  get safe(): number {
    return this.#safe.size;
  }
  get waiting(): number {
    return this.#queue.size;
  }
  get loose(): number {
    return this.#loose.size;
  }
  get heldBack(): readonly HeldBack[] {
    return [...this.#heldBack.values()];
  }

  isSafe(id: string): boolean {
    return this.#safe.has(id);
  }
  isLoose(id: string): boolean {
    return this.#loose.has(id);
  }

  /** Takes a fresh event; the promise resolves when it is kept on this device (or cannot be). */
  add(event: TouchEvent): Promise<void> {
    this.#loose.set(event.id, event);
    const keeping = this.#keep(event).finally(() => this.#keeping.delete(keeping));
    this.#keeping.add(keeping);
    return keeping;
  }

  /** Events that are kept elsewhere on this device, or were, and that the server may lack. */
  offer(events: Iterable<TouchEvent>, where: (event: TouchEvent) => Where | null = () => null): number {
    let offered = 0;
    for (const event of events) {
      if (this.#safe.has(event.id) || this.#queue.has(event.id) || this.#heldBack.has(event.id)) continue;
      this.#queue.set(event.id, event);
      this.#places.set(event.id, where(event));
      offered += 1;
    }
    return offered;
  }

  /** The server has these. */
  confirm(events: readonly TouchEvent[]): void {
    for (const { id } of events) {
      this.#safe.add(id);
      this.#queue.delete(id);
    }
  }

  /** The server has these and nothing else: what it was thought to have besides is not safe any more. */
  confirmOnly(ids: ReadonlySet<string>): void {
    this.#safe.clear();
    for (const id of ids) this.#safe.add(id);
  }

  /** Takes up what an earlier page of this device had held back. */
  rememberHeldBack(events: readonly HeldBack[]): void {
    for (const one of events) this.#heldBack.set(one.event.id, one);
  }

  /** What becomes of events held back was said: they are gone from here. */
  async settleHeldBack(ids: readonly string[]): Promise<void> {
    for (const id of ids) this.#heldBack.delete(id);
    if (this.#heldBack.size === 0) this.serverTrouble = null;
    this.#ports.onChange();
    await this.#ports.store.forget(ids).catch(() => undefined);
  }

  /** Sends what waits, a little later. */
  soon(ms = gatherMs): void {
    this.#ports.later(() => void this.flush(), ms);
  }

  /** Sends all that was added until now. Resolves when nothing is left, or the server cannot be reached. */
  async flush(): Promise<void> {
    await Promise.all(this.#keeping);
    this.#sending ??= this.#sendAll().finally(() => {
      this.#sending = null;
    });
    await this.#sending;
  }

  async #keep(event: TouchEvent): Promise<void> {
    const where = this.#ports.where?.(event) ?? null;
    this.#places.set(event.id, where);
    try {
      await this.#ports.store.put(event, where);
      this.#loose.delete(event.id);
    } catch {
      this.storeTrouble =
        'This device’s store is full or closed: counts are not kept across a reload. Leave this page open until all are safe on the server.';
    }
    this.#queue.set(event.id, event);
    this.#ports.onChange();
    this.soon();
  }

  /** One round: everything once. What the server failed over comes again in a later round. */
  async #sendAll(): Promise<void> {
    const failed = new Set<string>();
    for (;;) {
      const batch = [...this.#queue.values()].filter((event) => !failed.has(event.id)).slice(0, maxBatch);
      if (batch.length === 0 || this.closed !== null) break;
      if (!(await this.#send(batch, failed))) {
        if (this.closed !== null) return;
        return this.#again();
      }
      this.#retryMs = firstRetryMs;
    }
    if (failed.size > 0) this.#again();
  }

  #again(): void {
    this.soon(this.#retryMs);
    this.#retryMs = Math.min(longestRetryMs, this.#retryMs * 2);
  }

  /**
   * Sends a batch. One that is not taken or not digested is halved until only what is at fault stays behind.
   * @param failed what the server failed over in this round
   * @returns false when the round is over: the server cannot be reached, takes nothing, or fails over everything
   */
  async #send(batch: readonly TouchEvent[], failed: Set<string>): Promise<boolean> {
    const result = await this.#ports.send(batch);
    this.reachable = result.kind !== 'unreachable';
    switch (result.kind) {
      case 'stored':
        this.build = result.build ?? this.build;
        this.serverTrouble = this.#heldBack.size > 0 ? this.serverTrouble : null;
        await this.#stored(batch);
        return true;
      case 'closed':
        this.closed = result.message;
        this.#ports.onChange();
        return false;
      case 'unreachable':
        this.serverTrouble = result.message ?? this.serverTrouble;
        this.#ports.onChange();
        return false;
      case 'refused':
        if (result.refused && result.refused.length > 0) {
          await this.#holdBack(batch, result.refused);
          return true;
        }
        if (batch.length > 1) return this.#halves(batch, failed);
        await this.#holdBack(batch, [
          { index: 0, id: batch[0]!.id, why: 'unsound', message: result.message },
        ]);
        return true;
      case 'failed':
        if (batch.length > 1) return this.#halves(batch, failed);
        return this.#failed(batch[0]!, result.message, failed);
    }
  }

  async #halves(batch: readonly TouchEvent[], failed: Set<string>): Promise<boolean> {
    const half = Math.ceil(batch.length / 2);
    return (await this.#send(batch.slice(0, half), failed)) && (await this.#send(batch.slice(half), failed));
  }

  async #stored(batch: readonly TouchEvent[]): Promise<void> {
    for (const { id } of batch) {
      this.#queue.delete(id);
      this.#safe.add(id);
      this.#loose.delete(id);
      this.#failures.delete(id);
    }
    // When this fails the events are only sent again, which does no harm.
    await this.#ports.store.settle(batch).catch(() => undefined);
    this.#ports.onChange();
  }

  /** One event the server failed over: it comes again, a few times. */
  async #failed(event: TouchEvent, message: string, failed: Set<string>): Promise<boolean> {
    failed.add(event.id);
    if (failed.size >= sickAfter) {
      this.serverTrouble = message;
      this.#ports.onChange();
      return false;
    }
    const failures = (this.#failures.get(event.id) ?? 0) + 1;
    this.#failures.set(event.id, failures);
    if (failures >= mostFailures)
      await this.#holdBack([event], [{ index: 0, id: event.id, why: 'failed', message }]);
    return true;
  }

  /** Sets events aside that the server does not take; they rest on the device. */
  async #holdBack(
    batch: readonly TouchEvent[],
    refused: readonly { index: number; id: string; why: HeldBack['why']; message: string }[],
  ): Promise<void> {
    const aside = refused.flatMap<HeldBack>(({ index, why, message }) => {
      const event = batch[index];
      if (!event) return [];
      const where = this.#places.get(event.id) ?? this.#ports.where?.(event) ?? null;
      return [{ event, why, message, where, atMs: this.#ports.nowMs() }];
    });
    for (const one of aside) {
      this.#queue.delete(one.event.id);
      this.#loose.delete(one.event.id);
      if (isKept(one)) this.#heldBack.set(one.event.id, one);
    }
    this.#ports.onHeldBack(aside.map((one) => one.event));
    const kept = aside.filter(isKept);
    const gone = aside.filter((one) => !isKept(one)).map((one) => one.event.id);
    const { store } = this.#ports;
    await Promise.all([store.holdBack(kept), store.forget(gone)]).catch(() => undefined);
    this.#ports.onChange();
  }
}
