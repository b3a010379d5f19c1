import type { TouchEvent } from '../../src/core/counting/event';
import { wholeBetween } from '../../src/core/base/random';
import { sendTo } from '../../src/court/device';
import type { SendResult } from '../../src/court/outbox';

/** Faults of the link between a device and its server, and what they do to one batch. */
export const linkFaults = ['kill', 'cut before', 'cut after', 'delay', 'duplicate', 'overtaken'] as const;
export type LinkFault = (typeof linkFaults)[number];

export interface Server {
  readonly kill: () => Promise<void>;
  readonly start: () => Promise<void>;
}

export const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** A link that does to the next batch what it is told to. */
export class FaultyLink {
  readonly #post: (events: readonly TouchEvent[]) => Promise<SendResult>;
  readonly #server: Server;
  readonly #random: () => number;
  #late: Promise<unknown>[] = [];
  next: LinkFault | null = null;
  /** True while nothing gets through. */
  down = false;

  constructor(address: string, server: Server, random: () => number) {
    this.#post = sendTo(address);
    this.#server = server;
    this.#random = random;
  }

  readonly send = async (events: readonly TouchEvent[]): Promise<SendResult> => {
    if (this.down) return { kind: 'unreachable' };
    const fault = this.next;
    this.next = null;
    switch (fault) {
      case 'kill': {
        const answer = this.#post(events);
        await pause(wholeBetween(this.#random, 0, 6));
        await this.#server.kill();
        const result = await answer;
        await this.#server.start();
        return result;
      }
      case 'cut before':
        return { kind: 'unreachable' };
      case 'cut after':
        await this.#post(events);
        return { kind: 'unreachable' };
      case 'delay':
      case 'overtaken':
        // Given up, sent again by the log, and arriving late all the same: after the repetition, or after later ones.
        this.#late.push(pause(fault === 'delay' ? 40 : 250).then(() => this.#post([...events].reverse())));
        return { kind: 'unreachable' };
      case 'duplicate':
        return (await Promise.all([this.#post(events), this.#post(events)]))[0];
      default:
        return this.#post(events);
    }
  };

  /** Waits for what is on its way: nothing of it outlives the server it was sent to. */
  async settled(): Promise<void> {
    await Promise.all(this.#late);
    this.#late = [];
  }
}
