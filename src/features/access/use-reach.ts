'use client';

import { useEffect, useState } from 'react';
import { reachAction } from '@/server/actions/doors';
import type { Reach } from '@/server/views/reach';

/** The address links are given at, as it was chosen on this device. */
const keptAs = 'vowstep-links-at';

const kept = (): string | null => {
  try {
    return localStorage.getItem(keptAs);
  } catch {
    // A private window keeps nothing.
    return null;
  }
};

export interface Reached {
  /** Null until the server has said it. */
  readonly reach: Reach | null;
  /** What links begin with: "http://192.168.1.20:3200". */
  readonly base: string;
  readonly choose: (base: string) => void;
}

/** At which address phones open links that are made here. @param wanted false where nobody asks yet */
export function useReach(wanted = true): Reached {
  const [reach, setReach] = useState<Reach | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  useEffect(() => {
    if (!wanted) return;
    let here = true;
    reachAction().then(
      (found) => {
        if (!here) return;
        setReach(found);
        setChosen(kept());
      },
      // Without the server no link is made either.
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, [wanted]);
  const addresses = reach?.addresses ?? [];
  const base = addresses.find((one) => one === chosen) ?? addresses[0] ?? ownOrigin();
  const choose = (next: string) => {
    setChosen(next);
    try {
      localStorage.setItem(keptAs, next);
    } catch {
      // Then it is chosen again the next time.
    }
  };
  return { reach, base, choose };
}

const ownOrigin = (): string => (typeof location === 'undefined' ? '' : location.origin);
