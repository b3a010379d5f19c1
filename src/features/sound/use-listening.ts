'use client';

import { useEffect, useRef, useState } from 'react';
import type { Conditions } from '@/core/sound/conditions';
import type { Heard, Hearing } from '@/core/sound/hearing';
import type { EarState } from './use-ear';

/** What was heard, and of what. */
export interface HeardResult {
  readonly heard: Heard;
  /** When the sound began, and when it was listened to from, UTC milliseconds. */
  readonly startMs: number;
  readonly fromMs: number;
  /** What a made-up drill really had; null from a real microphone. */
  readonly truth: readonly number[] | null;
  /** What stood in the way when it was stopped. */
  readonly conditions: readonly Conditions[];
}

export interface Listening {
  readonly hearing: Hearing;
  readonly setHearing: (hearing: Hearing) => void;
  /** Since when it is listened to, UTC milliseconds; null while it is not. */
  readonly fromMs: number | null;
  readonly listen: () => void;
  readonly stop: () => void;
  readonly result: HeardResult | null;
  /** Done with what was heard; false where that was said before: a second press may come before anything is drawn. */
  readonly settle: () => boolean;
}

/**
 * Listening to one player, from a press to a press.
 * @param first what is listened for, until somebody says otherwise
 * @param ended what it belongs to is over: it is stopped by itself then, and the microphone let go; what was counted stays
 */
export function useListening(
  ear: EarState,
  nowMs: () => number,
  first: () => Hearing,
  ended: boolean,
): Listening {
  const [hearing, setHearing] = useState(first);
  const [fromMs, setFromMs] = useState<number | null>(null);
  const [result, setResult] = useState<HeardResult | null>(null);
  const settled = useRef<HeardResult | null>(null);
  const { news, ask, state, close } = ear;
  const stop = () => {
    const startMs = ear.startMs();
    if (news?.heard && startMs !== null && fromMs !== null)
      setResult({
        heard: news.heard,
        startMs,
        fromMs,
        truth: news.truth ?? null,
        conditions: news.conditions,
      });
    setFromMs(null);
    ask({ kind: 'stop' });
  };
  const stopNow = useRef(stop);
  useEffect(() => {
    stopNow.current = stop;
  });
  const over = fromMs !== null && (ended || state === 'closed');
  useEffect(() => {
    if (!over) return;
    stopNow.current();
    close();
  }, [over, close]);
  return {
    hearing,
    setHearing,
    stop,
    result,
    fromMs: over ? null : fromMs,
    listen: () => {
      ask({ kind: 'listen', hearing });
      setFromMs(nowMs());
    },
    settle: () => {
      if (result === null || settled.current === result) return false;
      settled.current = result;
      setResult(null);
      return true;
    },
  };
}
