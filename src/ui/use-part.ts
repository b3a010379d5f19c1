'use client';

import { useEffect, useState } from 'react';

/** A part that could not be fetched is asked for again after so long, milliseconds. Ours. */
const againMs = 3000;

/**
 * A part of a page that is fetched once the page is alive, so that the page itself stays light; null until it is there.
 * @param load imports it; the same function every time
 * @param wanted true while somebody waits for it: then a part that cannot be fetched is a fault of the page
 */
export function usePart<T>(load: () => Promise<T>, wanted = false): T | null {
  const [part, setPart] = useState<{ readonly it: T } | null>(null);
  const [failed, setFailed] = useState<Error | null>(null);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let here = true;
    const ask = () =>
      void load().then(
        (it) => here && setPart({ it }),
        (error: unknown) => {
          if (!here) return;
          setFailed(error instanceof Error ? error : new Error(String(error)));
          // The server may only be away for a moment: a court goes on counting meanwhile.
          timer = setTimeout(ask, againMs);
        },
      );
    ask();
    return () => {
      here = false;
      clearTimeout(timer);
    };
  }, [load]);
  if (failed && wanted && !part) throw failed;
  return part?.it ?? null;
}
