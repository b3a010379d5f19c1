'use client';

import { useEffect, useState } from 'react';

/** Keeps the screen awake while it is wanted, where the browser can. Null: it cannot. */
export function useWakeLock(wanted: boolean): boolean | null {
  const [awake, setAwake] = useState<boolean | null>(null);
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const hold = async () => {
      if (document.visibilityState !== 'visible') return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (gone) return void lock.release();
        setAwake(true);
        lock.addEventListener('release', () => setAwake(false));
      } catch {
        // A low battery may forbid it: the sheet says that the screen may go dark.
        setAwake(false);
      }
    };
    void hold();
    // The lock goes when the page is hidden: it is taken again when it comes back.
    document.addEventListener('visibilitychange', hold);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, [wanted]);
  return awake;
}
