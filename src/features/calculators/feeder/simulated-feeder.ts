import { feederEvents, type FeederEvent } from '@/core/ballistics/feed/events';
import type { Feed } from '@/core/ballistics/feed/feeder';

/** What the machine needs of the outside. */
export interface FeederPorts {
  /** Milliseconds of a clock that never runs back. */
  readonly now: () => number;
  /** Calls once after so many milliseconds; returns how to take it back. */
  readonly later: (work: () => void, ms: number) => () => void;
}

/** How far ahead events are made, seconds. */
const batchS = 60;

/**
 * The feeder machine that ships with the application: no more than a clock that tells when a ball is fed, at its top,
 * and when it bounces. Who listens follows it as they would a real one.
 */
export class SimulatedFeeder {
  readonly #ports: FeederPorts;
  readonly #listeners = new Set<(event: FeederEvent) => void>();
  #takeBack: (() => void) | null = null;

  constructor(ports: FeederPorts) {
    this.#ports = ports;
  }

  get running(): boolean {
    return this.#takeBack !== null;
  }

  /** Listens; returns how to stop listening. */
  listen(listener: (event: FeederEvent) => void): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }

  /** Feeds until it is stopped: the first ball at once. */
  start(one: Pick<Feed, 'apexS' | 'bounceS'>, intervalS: number): void {
    this.stop();
    const startedMs = this.#ports.now();
    let made = feederEvents(one, intervalS, batchS);
    let next = 0;
    const tell = () => {
      const passedS = (this.#ports.now() - startedMs) / 1000;
      for (let event = made[next]; event && event.atS <= passedS + 0.001; event = made[++next])
        for (const listener of this.#listeners) listener(event);
      if (next >= made.length) made = feederEvents(one, intervalS, made.at(-1)!.atS + batchS);
      const waitS = (made[next]?.atS ?? passedS + 1) - passedS;
      this.#takeBack = this.#ports.later(tell, Math.max(0, 1000 * waitS));
    };
    tell();
  }

  stop(): void {
    this.#takeBack?.();
    this.#takeBack = null;
  }
}
