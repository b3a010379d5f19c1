'use client';

import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { makeBook, plainContents, type Book, type BookContents } from '@/drills';

/** What this house has of its own, that any screen may need. */
export interface House {
  readonly contents: BookContents;
  readonly places: readonly { readonly id: string; readonly name: string }[];
}

const emptyHouse: House = { contents: plainContents, places: [] };
const HouseContext = createContext<House>(emptyHouse);

export function HouseProvider({ house, children }: { house: House; children: ReactNode }) {
  return <HouseContext value={house}>{children}</HouseContext>;
}

export const useHouse = (): House => useContext(HouseContext);

/** The drills as a coach sees them; without a name, as everybody does. */
export function useBook(coach = ''): Book {
  const { contents } = useHouse();
  return useMemo(() => makeBook(contents, coach), [contents, coach]);
}
