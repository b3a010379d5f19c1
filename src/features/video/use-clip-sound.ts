'use client';

import { useCallback, useState } from 'react';
import type { ByItself } from '@/core/sound/count/by-itself';
import { useOneWorker } from '@/ui/use-one-worker';
import type { ClipSoundJob, ClipSoundNews } from '@/workers/clip-sound.worker';

export type ClipCount =
  | { readonly kind: 'idle' }
  | { readonly kind: 'counts' }
  | { readonly kind: 'done'; readonly counted: ByItself | null }
  | { readonly kind: 'failed'; readonly message: string };

const makeWorker = () =>
  new Worker(new URL('../../workers/clip-sound.worker.ts', import.meta.url), { type: 'module' });

/** Counts a clip's sound in a worker; it can be cancelled at any moment. */
export function useClipSound(): {
  readonly state: ClipCount;
  readonly count: (job: ClipSoundJob) => void;
  readonly cancel: () => void;
} {
  const [state, setState] = useState<ClipCount>({ kind: 'idle' });
  const { begin, end } = useOneWorker<ClipSoundJob, ClipSoundNews>(makeWorker);
  const count = useCallback(
    (job: ClipSoundJob) => {
      setState({ kind: 'counts' });
      begin(job, {
        onNews: (news, done) => {
          setState(news);
          done();
        },
        onBroken: () =>
          setState({ kind: 'failed', message: 'The counter could not start: reload the page.' }),
      });
    },
    [begin],
  );
  const cancel = useCallback(() => {
    end();
    setState({ kind: 'idle' });
  }, [end]);
  return { state, count, cancel };
}
