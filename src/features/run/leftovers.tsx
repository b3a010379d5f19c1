'use client';

import { useEffect } from 'react';
import { counted } from '@/core/words';
import { useNotice } from '@/ui/toast';

/** Counts that were still on this device when its run screen was left: they are sent from any page of the desk. */
export function Leftovers() {
  const notice = useNotice();
  useEffect(() => {
    void sendLeftovers().then((sent) => {
      if (sent > 0) notice({ text: `${counted(sent, 'mark')} from court reached the server.` });
    });
  }, [notice]);
  return null;
}

/** Sends what waits on this device, once; what cannot go now waits for the next page. Returns how many went. */
async function sendLeftovers(): Promise<number> {
  if (typeof indexedDB === 'undefined') return 0;
  // Fetched only here: the desk's pages stay light.
  const [{ deviceStore, deviceName, sendBatch }, { RunLog }] = await Promise.all([
    import('./device'),
    import('./run-log'),
  ]);
  const log = new RunLog([], {
    store: deviceStore(),
    send: sendBatch,
    later: () => undefined,
    clock: { now: () => Date.now(), mono: () => performance.now() },
    device: deviceName(),
  });
  await log.flush();
  return log.state().safe;
}
