import { useMemo, useState, type ReactNode } from 'react';
import { usePart } from '@/ui/use-part';
import type { EarOffer } from '../court-grid';
import type { Desk, Listened } from './desk';

/** Counting by ear: fetched once the court can count. */
const loadEar = () => import('./ear-part');
/** The same with what it hears with, kept for a court without the server. */
export const keepEar = () =>
  Promise.all([loadEar().then(({ warm }) => warm()), import('@/court/kept-together')]);

export interface CourtEar {
  /** What the tiles of a block are offered; null until it is there. */
  readonly offerFor: (blockId: string) => EarOffer | null;
  /** What is drawn while somebody is listened to. */
  readonly desk: (of: Desk) => ReactNode;
}

/** Counting by ear on a court: one ear, one player. Another one waits until it is stopped. */
export function useCourtEar(): CourtEar {
  const part = usePart(loadEar);
  const [listened, setListened] = useState<Listened | null>(null);
  const offers = useMemo(
    () => part?.offersOf((blockId, playerId) => setListened((now) => now ?? { blockId, playerId })),
    [part],
  );
  return {
    offerFor: (blockId) => offers?.(blockId) ?? null,
    desk: (of) =>
      part &&
      listened && (
        <part.EarDesk
          key={`${listened.blockId} ${listened.playerId}`}
          {...listened}
          onClose={() => setListened(null)}
          {...of}
        />
      ),
  };
}
