'use client';

import { startTransition, useCallback, useState, type ComponentType } from 'react';
import { HouseProvider, type House } from '@/ui/house';
import { unpack, type Packed } from '@/ui/packed';
import type { CourtView } from './court-view';

/** A court page: the session as it is run, and what it needs of the house. */
export interface CourtPage<V extends CourtView = CourtView> {
  readonly view: V;
  readonly house: House;
}

export interface ScreenProps<V extends CourtView> {
  readonly view: V;
  /** Fetches the page as it is now. */
  readonly renew: () => Promise<void>;
}

/** The server has so long to say what the plan is now, milliseconds. */
const patienceMs = 10_000;

/**
 * A court screen with the page it was opened with, or the newest that was fetched since. It is fetched as data: a router
 * that cannot reach the server has the browser load the page again, and a counting screen must never go.
 * @param Screen what is drawn of it
 */
export function presentCourt<V extends CourtView>(Screen: ComponentType<ScreenProps<V>>) {
  return function PresentCourt({
    opened,
    from,
  }: {
    readonly opened: Packed<CourtPage<V>>;
    readonly from: string;
  }) {
    const [{ view, house }, setPage] = useState(() => unpack(opened));
    // A page of another build is never taken in.
    const { build } = view;
    const renew = useCallback(async () => {
      const page = await fetchPage<V>(from);
      // Another build may draw its pages from something else: that one is for the next load.
      if (page?.view.build === build) startTransition(() => setPage(page));
    }, [from, build]);
    return (
      <HouseProvider house={house}>
        <Screen view={view} renew={renew} />
      </HouseProvider>
    );
  };
}

async function fetchPage<V extends CourtView>(from: string): Promise<CourtPage<V> | null> {
  try {
    const response = await fetch(from, { signal: AbortSignal.timeout(patienceMs) });
    return response.ok ? ((await response.json()) as CourtPage<V>) : null;
  } catch {
    // It is asked for again.
    return null;
  }
}
