'use client';

import { useMemo } from 'react';
import { makeBook, type Book } from '@/drills/book';
import { useHouse } from './house';

/** All drills as a coach sees them; without a name, as everybody does. It brings the whole catalogue along. */
export function useWholeBook(coach = ''): Book {
  const { contents } = useHouse();
  return useMemo(() => makeBook(contents, coach), [contents, coach]);
}
