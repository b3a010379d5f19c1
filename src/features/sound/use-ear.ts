'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { EarJob, EarNews } from '@/core/sound/job';
import { isWireless, openMicrophone, openPractice, type EarSources, type OpenEar } from '@/court/ear';
import { mediaTrouble, noMediaHere, type Asked } from '@/court/media-trouble';

export interface EarState {
  /** 'closed' until somebody opens it; 'asks' while the browser asks. */
  readonly state: 'closed' | 'asks' | 'open';
  readonly news: EarNews | null;
  /** Why nothing is heard, and what mends it. */
  readonly trouble: string | null;
  /** A headset: it hears late. */
  readonly wireless: boolean;
  readonly open: (practice: boolean) => Promise<void>;
  readonly ask: (job: EarJob) => void;
  readonly startMs: () => number | null;
  readonly close: () => void;
}

/** Without an ear it is counted by finger. */
export const earAsked: Asked = { what: 'microphone', instead: 'tap' };

/** One ear, opened when it is asked for and let go when it is closed or its screen goes. */
export function useEar(
  sources: EarSources,
  nowMs: () => number,
  seed: number,
  asked: Asked = earAsked,
): EarState {
  const ear = useRef<OpenEar | null>(null);
  const began = useRef<number | null>(null);
  const here = useRef(true);
  const [state, setState] = useState<EarState['state']>('closed');
  const [wireless, setWireless] = useState(false);
  const [news, setNews] = useState<EarNews | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);

  const close = useCallback(() => {
    // What was heard until now is still dated by it.
    began.current = ear.current?.startMs() ?? began.current;
    ear.current?.close();
    ear.current = null;
    setState('closed');
  }, []);
  useEffect(() => {
    here.current = true;
    return () => {
      here.current = false;
      ear.current?.close();
      ear.current = null;
    };
  }, []);

  const open = async (made: boolean) => {
    const cannot = made ? null : noMediaHere(asked);
    setTrouble(cannot);
    if (cannot || state !== 'closed') return;
    setState('asks');
    const ports = {
      ...sources,
      nowMs,
      onNews: setNews,
      onEnd: (gone: string) => {
        setTrouble(gone);
        close();
      },
    };
    try {
      const opened = made ? openPractice(seed, ports) : await openMicrophone(ports);
      // It may have been closed while the browser asked.
      if (!here.current) return opened.close();
      ear.current = opened;
      setWireless(isWireless(opened.name));
      setState('open');
    } catch (error) {
      setTrouble(mediaTrouble(error, asked));
      setState('closed');
    }
  };
  return {
    state,
    news,
    trouble,
    wireless,
    open,
    close,
    ask: useCallback((job: EarJob) => ear.current?.ask(job), []),
    startMs: useCallback(() => ear.current?.startMs() ?? began.current, []),
  };
}
