import type { TouchEvent } from '@/core/counting/event';
import type { LogPlace, RunBlock } from '@/server/views/session-run';

/** A player on court: as much as counting needs. */
export interface CourtPlayer {
  readonly id: string;
  readonly name: string;
  readonly age: number;
  readonly stage?: string | null;
  /** The number they are counted by, where it is not their place in the list. */
  readonly number?: number;
}

/** What the court needs of a session, whoever counts: the coach's view and a helper's both hold it. */
export interface CourtView {
  readonly session: {
    readonly id: string;
    readonly coach: string;
    readonly revision: number;
    readonly title?: string;
    /** When and where it is held; a helper's page is not told. */
    readonly day?: string;
    readonly placeName?: string;
    readonly placeId?: string | null;
  };
  /** Who is absent, under a short name; a helper's page is not told. */
  readonly presence?: string;
  /** The coach's own day, local ISO; a helper's page is not told. */
  readonly today?: string;
  readonly players: readonly CourtPlayer[];
  readonly blocks: readonly RunBlock[];
  readonly events: readonly TouchEvent[];
  readonly logEnd: LogPlace;
  readonly build: string;
  readonly helper?: { readonly token: string; readonly by: string; readonly sign: string };
}
