'use client';

import { useEffect, useRef } from 'react';
import { elapsedS } from '@/core/court/block-clock';
import type { BlockRun } from '../use-block';
import type { EarState } from '@/features/sound/use-ear';

/* Ours: how long a signal or a spoken word is heard, with the way through loudspeaker and room. */
const [beforeS, toneS, wordS] = [0.06, 0.4, 1.4] as const;
/** Signals are told to the ear so long before they sound, seconds. */
const aheadS = 1;
const everyMs = 250;

/** Tells the ear when this device sounds a signal or a call of its own: what it hears then counts nothing. */
export function useOwnSignals(on: boolean, run: BlockRun, ear: EarState, nowMs: () => number): void {
  const latest = useRef({ run, ear, nowMs });
  useEffect(() => {
    latest.current = { run, ear, nowMs };
  });
  useEffect(() => {
    if (!on) return;
    let toldS = -Infinity;
    const tell = () => {
      const { run, ear, nowMs } = latest.current;
      const startMs = ear.startMs();
      if (startMs === null) return;
      const now = nowMs();
      const passedS = elapsedS(run.clock, now);
      for (const { atS, tone, clip } of run.cues) {
        if (atS <= toldS || atS < passedS - beforeS || atS > passedS + aheadS || !(tone || clip)) continue;
        const heardS = (now - startMs) / 1000 + (atS - passedS);
        ear.ask({
          kind: 'deaf',
          deaf: { fromS: heardS - beforeS, toS: heardS + (clip ? wordS : toneS) },
        });
        toldS = atS;
      }
    };
    tell();
    const timer = setInterval(tell, everyMs);
    return () => clearInterval(timer);
  }, [on]);
}
