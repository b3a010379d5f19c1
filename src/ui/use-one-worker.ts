import { useCallback, useEffect, useRef } from 'react';

interface Listener<News> {
  /** What the worker says; `end` ends it. */
  readonly onNews: (news: News, end: () => void) => void;
  readonly onBroken: () => void;
}

/**
 * One worker at a time: a new job ends the one before, and what an ended one still says is not heard.
 * @param make makes the worker; the same function every time
 */
export function useOneWorker<Job, News>(
  make: () => Worker,
): { readonly begin: (job: Job, listener: Listener<News>) => void; readonly end: () => void } {
  const worker = useRef<Worker | null>(null);
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => end, [end]);
  const begin = useCallback(
    (job: Job, { onNews, onBroken }: Listener<News>) => {
      end();
      const fresh = make();
      worker.current = fresh;
      fresh.onmessage = ({ data }: MessageEvent<News>) => {
        if (worker.current === fresh) onNews(data, end);
      };
      fresh.onerror = () => {
        if (worker.current !== fresh) return;
        end();
        onBroken();
      };
      fresh.postMessage(job);
    },
    [make, end],
  );
  return { begin, end };
}
