'use client';

import { useMemo } from 'react';
import { bookOf, type Book } from '@/drills/book-of';
import { useHouse, usePageBook } from './house';
import { usePart } from './use-part';

const loadCatalogue = () => import('@/drills/catalogue');

/**
 * All drills as a coach sees them, for a page that came with those it shows first: the rest of the catalogue is fetched
 * once the page is alive.
 * @returns the book, and whether it holds all drills yet
 */
export function useGrowingBook(coach = ''): { readonly book: Book; readonly whole: boolean } {
  const { contents } = useHouse();
  const first = usePageBook(coach);
  const part = usePart(loadCatalogue, true);
  return useMemo(
    () =>
      part ? { book: bookOf(part.catalogue, contents, coach), whole: true } : { book: first, whole: false },
    [part, first, contents, coach],
  );
}
