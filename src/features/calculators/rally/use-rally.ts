'use client';

import { useCallback, useState } from 'react';
import type { RallyAnswer, RallyJob } from '@/core/calculators/rally/job';
import { useOneWorker } from '@/ui/use-one-worker';
import type { RallyNews } from '@/workers/rally.worker';

export type RallyState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'running'; readonly share: number }
  | { readonly kind: 'done'; readonly answer: RallyAnswer }
  | { readonly kind: 'cancelled' }
  | { readonly kind: 'failed'; readonly message: string };

const makeWorker = () =>
  new Worker(new URL('../../../workers/rally.worker.ts', import.meta.url), { type: 'module' });

/** Plays rallies in a worker: progress as it comes, and it can be cancelled at any moment. */
export function useRally(): {
  readonly state: RallyState;
  readonly run: (job: RallyJob) => void;
  readonly cancel: () => void;
} {
  const [state, setState] = useState<RallyState>({ kind: 'idle' });
  const { begin, end } = useOneWorker<RallyJob, RallyNews>(makeWorker);
  const run = useCallback(
    (job: RallyJob) => {
      setState({ kind: 'running', share: 0 });
      begin(job, {
        onNews: (news, done) => {
          if (news.kind === 'progress') return setState({ kind: 'running', share: news.share });
          setState(news);
          done();
        },
        onBroken: () =>
          setState({ kind: 'failed', message: 'The simulator could not start: reload the page.' }),
      });
    },
    [begin],
  );
  const cancel = useCallback(() => {
    end();
    setState({ kind: 'cancelled' });
  }, [end]);
  return { state, run, cancel };
}
