'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { ByItself } from '@/core/sound/count/by-itself';
import type { ClipSoundJob, ClipSoundNews } from '@/workers/clip-sound.worker';

export type ClipCount =
  | { readonly kind: 'idle' }
  | { readonly kind: 'counts' }
  | { readonly kind: 'done'; readonly counted: ByItself | null }
  | { readonly kind: 'failed'; readonly message: string };

/** Counts a clip's sound in a worker; it can be cancelled at any moment. */
export function useClipSound(): {
  readonly state: ClipCount;
  readonly count: (job: ClipSoundJob) => void;
  readonly cancel: () => void;
} {
  const [state, setState] = useState<ClipCount>({ kind: 'idle' });
  const worker = useRef<Worker | null>(null);
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => end, [end]);
  const count = useCallback(
    (job: ClipSoundJob) => {
      end();
      setState({ kind: 'counts' });
      const fresh = new Worker(new URL('../../workers/clip-sound.worker.ts', import.meta.url), {
        type: 'module',
      });
      worker.current = fresh;
      fresh.onmessage = ({ data }: MessageEvent<ClipSoundNews>) => {
        if (worker.current !== fresh) return;
        setState(data);
        end();
      };
      fresh.onerror = () => {
        setState({ kind: 'failed', message: 'The counter could not start: reload the page.' });
        end();
      };
      fresh.postMessage(job);
    },
    [end],
  );
  const cancel = useCallback(() => {
    end();
    setState({ kind: 'idle' });
  }, [end]);
  return { state, count, cancel };
}
