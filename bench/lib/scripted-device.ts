import { begunOf } from '../../src/session/court/begun';
import { plainBook } from '@/drills';
import type { EventKind, TouchEvent } from '../../src/core/counting/event';
import { askAt, followSession, type News } from '../../src/court/follow-session';
import { RunLog, type RunPorts } from '../../src/court/run-log';
import { attach, groupsOf, standing } from '../../src/court/settle-held-back';
import { memoryStore } from '../../src/court/testing/memory-store';
import { recordOf, shownBlocks, underIn, whereIn } from '../../src/features/court/begun-view';
import type { SessionRunView } from '../../src/server/views/session-run';

/** What an event was meant as when it was made: what the screen said then. */
export interface Meant {
  readonly blockId: string;
  readonly playerId: string | null;
  readonly kind: EventKind;
  readonly stepId: string | null;
}

export interface DevicePorts {
  readonly name: string;
  readonly url: string;
  readonly send: RunPorts['send'];
  readonly viewOf: (sessionId: string) => Promise<SessionRunView>;
}

/** Waits are shortened, or a bench would mostly wait. */
const hurry = 25;

/**
 * A coach's tablet without its screen: the log, the store, the following and the held-back marks are the application's
 * own. What is in the store outlives its pages.
 */
export class ScriptedDevice {
  readonly #ports: DevicePorts;
  readonly #store = memoryStore();
  #log: RunLog | null = null;
  #view: SessionRunView | null = null;
  #stop = () => undefined as void;
  /** Every event that was made here and ought to be on the server in the end. */
  readonly ledger = new Map<string, Meant>();
  /** How far its clock is ahead, milliseconds. */
  aheadMs = 0;
  epoch: string | null = null;
  /** What the log said that it should not have. */
  readonly faults: string[] = [];

  constructor(ports: DevicePorts) {
    this.#ports = ports;
  }

  get log(): RunLog {
    return this.#log!;
  }

  /** A page of a session, opened (anew): what the page before was doing breaks off. */
  async open(sessionId: string): Promise<void> {
    this.#stop();
    const view = await this.#ports.viewOf(sessionId);
    this.#view = view;
    const log: RunLog = new RunLog(view.events, {
      store: this.#store.store,
      send: this.#ports.send,
      later: (work, ms) => void setTimeout(work, ms / hurry),
      clock: { now: () => Date.now() + this.aheadMs, mono: () => performance.now() },
      device: this.#ports.name,
      blockIds: view.blocks.map((block) => block.id),
      sessionId,
      begin: (blockId) => recordOf(this.#view!, plainBook, blockId),
      under: (blockId, playerId) => underIn(this.#view!, this.#begun(blockId), blockId, playerId),
      where: (event) => whereIn(this.#view!, plainBook, event),
      share: (event) => this.#remember(event),
    });
    this.#log = log;
    await log.opened;
    this.epoch = view.logEnd.epoch;
    this.#stop = followSession(view.logEnd, {
      ask: async (from) => {
        const answer = await askAt(`${this.#ports.url}/api/sessions/${sessionId}/touches`)(from);
        if (answer?.kind === 'news') this.epoch = answer.place.epoch;
        return answer;
      },
      later: (work, ms) => {
        const timer = setTimeout(work, ms / hurry);
        return () => clearTimeout(timer);
      },
      onEvents: (events) => log.receive(events, 'server'),
      onReset: (events) => void log.reconcile(events),
      onClosed: (message) => void this.faults.push(message),
      onNews: ({ plan }) => void this.#learn(plan),
    });
  }

  close(): void {
    this.#stop();
  }

  /** Fetches the plan, as a page does when it hears that it has changed. */
  async refresh(): Promise<void> {
    this.#view = await this.#ports.viewOf(this.#view!.session.id);
  }

  /** Counts of blocks the server no longer knows, or that it began under another plan, are counted in another block. */
  async settle(blockId: string): Promise<number> {
    const groups = groupsOf(this.log.state().heldBack);
    for (const group of groups) {
      const before = this.ledger.size;
      const wanted = standing(group).length;
      await attach(this.log, group, blockId, Date.now());
      await Promise.resolve();
      const made = this.ledger.size - before;
      if (made !== wanted) this.faults.push(`${wanted} marks were attached as ${made}.`);
      for (const { event } of group.held) this.ledger.delete(event.id);
    }
    return groups.length;
  }

  #begun(blockId: string) {
    return begunOf(this.#log?.events(blockId, null) ?? []);
  }

  async #learn(plan: News['plan']): Promise<void> {
    if (plan && plan.revision !== this.#view!.session.revision) await this.refresh().catch(() => undefined);
  }

  #remember({ id, blockId, playerId, kind }: TouchEvent): void {
    if (kind === 'begun') return;
    const shown = shownBlocks(this.#view!.blocks, (block) => this.log.events(block, null));
    const block = shown.find((one) => one.id === blockId);
    const own = block?.own.find((one) => one.playerId === playerId)?.stepId;
    this.ledger.set(id, { blockId, playerId, kind, stepId: own ?? block?.stepId ?? null });
  }
}
