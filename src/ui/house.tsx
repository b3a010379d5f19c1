'use client';

import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { bookOf, plainContents, type Book, type BookContents } from '@/drills/book-of';
import type { Drill } from '@/drills/base/types';

/** What this house has of its own, that any screen may need. */
export interface House {
  readonly contents: BookContents;
  readonly places: readonly { readonly id: string; readonly name: string }[];
  /** Drills of the catalogue that came with a page which shows no others. */
  readonly drills?: readonly Drill[];
}

const emptyHouse: House = { contents: plainContents, places: [] };
const HouseContext = createContext<House>(emptyHouse);

export function HouseProvider({ house, children }: { house: House; children: ReactNode }) {
  return <HouseContext value={house}>{children}</HouseContext>;
}

export const useHouse = (): House => useContext(HouseContext);

const none: readonly Drill[] = [];

/**
 * The drills that came with a page, as a coach sees them. The catalogue itself is not fetched for it: pages that need
 * all of it ask `useWholeBook`.
 */
export function usePageBook(coach = ''): Book {
  const { contents, drills = none } = useHouse();
  return useMemo(() => bookOf(drills, contents, coach), [drills, contents, coach]);
}
