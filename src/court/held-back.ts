import type { TouchEvent } from '@/core/counting/event';
import type { RefusedEvent } from '@/schemas/touches';

/**
 * Where an event was made, in words: what is left of it when its block or player is gone from the plan. Names are empty
 * once somebody signed out here.
 */
export interface Where {
  readonly sessionId: string;
  readonly session: string;
  readonly block: string;
  readonly player: string;
}

/** Where it was made, without names of people and what they may stand in. */
export const nameless = (where: Where): Where => ({ ...where, session: '', player: '' });

/** An event the server does not take. It rests on the device until somebody says what becomes of it. */
export interface HeldBack {
  readonly event: TouchEvent;
  /** `failed`: the server could not digest it; the others are the server's own words. */
  readonly why: RefusedEvent['why'] | 'failed';
  readonly message: string;
  readonly where: Where | null;
  readonly atMs: number;
}

/** An event that rests on the device, and where it was made. */
export interface KeptEvent {
  readonly event: TouchEvent;
  readonly where: Where | null;
}

/** Where events rest on this device: until the server has them, and a few days longer for a reload without it. */
export interface EventStore {
  /** Events the server does not have yet, of any session. */
  waiting(): Promise<readonly KeptEvent[]>;
  put(event: TouchEvent, where: Where | null): Promise<void>;
  /** The server has these now. */
  settle(events: readonly TouchEvent[]): Promise<void>;
  /** Events of blocks that the server has had, and those made here in a session whose blocks may be gone since. */
  settled(blockIds: readonly string[], sessionId?: string): Promise<readonly KeptEvent[]>;
  /** The server does not take these: they no longer wait. */
  holdBack(events: readonly HeldBack[]): Promise<void>;
  heldBack(): Promise<readonly HeldBack[]>;
  /** What was held back is settled some other way. */
  forget(ids: readonly string[]): Promise<void>;
  /** What the server has goes; what it does not have stays, without the names it was made under. */
  forgetSafe(): Promise<void>;
}

/** A store that keeps nothing, where the browser has none. */
export const noStore: EventStore = {
  waiting: async () => [],
  put: async () => undefined,
  settle: async () => undefined,
  settled: async () => [],
  holdBack: async () => undefined,
  heldBack: async () => [],
  forget: async () => undefined,
  forgetSafe: async () => undefined,
};
