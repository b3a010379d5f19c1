'use client';

import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { counted } from '@/core/base/words';
import type { HeldBack } from '@/court/held-back';
import { useNotice } from '@/ui/toast';

// Fetched only where something is held back.
const DeskHeldBack = dynamic(() => import('./desk-held-back').then((one) => one.DeskHeldBack));

/** Counts that were still on this device when its run screen was left: they are sent from any page of the desk. */
export function Leftovers() {
  const notice = useNotice();
  const [heldBack, setHeldBack] = useState<readonly HeldBack[]>([]);
  useEffect(() => {
    void sendLeftovers().then((left) => {
      if (left.sent > 0) notice({ text: `${counted(left.sent, 'mark')} from court reached the server.` });
      setHeldBack(left.heldBack);
    });
  }, [notice]);
  return heldBack.length > 0 ? <DeskHeldBack heldBack={heldBack} onChange={setHeldBack} /> : null;
}

/** Sends what waits on this device, once; what cannot go now waits for the next page, and what was held back is not sent again. */
async function sendLeftovers(): Promise<{ sent: number; heldBack: readonly HeldBack[] }> {
  if (typeof indexedDB === 'undefined') return { sent: 0, heldBack: [] };
  // Fetched only here: the desk's pages stay light.
  const [{ deviceStore, deviceName, sendBatch }, { RunLog }, { isFromHome }] = await Promise.all([
    import('@/court/device'),
    import('@/court/run-log'),
    import('@/court/from-home'),
  ]);
  const log = new RunLog([], {
    store: deviceStore(),
    send: sendBatch,
    later: () => undefined,
    clock: { now: () => Date.now(), mono: () => performance.now() },
    device: deviceName(),
    mine: (event) => !isFromHome(event),
  });
  await log.flush();
  const { safe, heldBack } = log.state();
  return { sent: safe, heldBack };
}
