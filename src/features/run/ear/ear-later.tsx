'use client';

import { useMemo, useState, type ReactNode } from 'react';
import { usePart } from '@/ui/use-part';
import type { EarOffer } from '../court-grid';
import type { Desk } from './desk';

/** Counting by ear: fetched once the court can count. */
const loadEar = () => import('./ear-part');
/** The same with what it hears with, kept for a court without the server. */
export const keepEar = () =>
  Promise.all([loadEar().then(({ warm }) => warm()), import('@/court/kept-together')]);

/** What tiles are offered, once it is there, and what is drawn while somebody is listened to. */
export function useEarOffer(): {
  readonly offer: EarOffer | null;
  readonly desk: (of: Desk) => ReactNode;
} {
  const part = usePart(loadEar);
  const [hearing, setHearing] = useState<string | null>(null);
  const offer = useMemo(
    // One ear, one player: another one waits until it is stopped.
    () => part && part.offerEar((playerId) => setHearing((now) => now ?? playerId)),
    [part],
  );
  return {
    offer,
    desk: (of) =>
      part &&
      hearing && <part.EarDesk key={hearing} playerId={hearing} onClose={() => setHearing(null)} {...of} />,
  };
}
