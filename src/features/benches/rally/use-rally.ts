'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { RallyAnswer, RallyJob } from '@/core/rally/job';
import type { RallyNews } from '@/workers/rally.worker';

export type RallyState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'running'; readonly share: number }
  | { readonly kind: 'done'; readonly answer: RallyAnswer }
  | { readonly kind: 'cancelled' }
  | { readonly kind: 'failed'; readonly message: string };

/** Plays rallies in a worker: progress as it comes, and it can be cancelled at any moment. */
export function useRally(): {
  readonly state: RallyState;
  readonly run: (job: RallyJob) => void;
  readonly cancel: () => void;
} {
  const [state, setState] = useState<RallyState>({ kind: 'idle' });
  const worker = useRef<Worker | null>(null);
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => end, [end]);
  const run = useCallback(
    (job: RallyJob) => {
      end();
      setState({ kind: 'running', share: 0 });
      const fresh = new Worker(new URL('../../../workers/rally.worker.ts', import.meta.url), {
        type: 'module',
      });
      worker.current = fresh;
      fresh.onmessage = ({ data }: MessageEvent<RallyNews>) => {
        if (worker.current !== fresh) return;
        if (data.kind === 'progress') return setState({ kind: 'running', share: data.share });
        setState(data);
        end();
      };
      fresh.onerror = () => {
        if (worker.current !== fresh) return;
        setState({ kind: 'failed', message: 'The simulator could not start: reload the page.' });
        end();
      };
      fresh.postMessage(job);
    },
    [end],
  );
  const cancel = useCallback(() => {
    end();
    setState({ kind: 'cancelled' });
  }, [end]);
  return { state, run, cancel };
}
