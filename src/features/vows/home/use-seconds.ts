import { useEffect, useState } from 'react';

/** Seconds that a press is timed by. */
export function useSeconds(running: boolean): number {
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    if (!running) return;
    const from = performance.now();
    const timer = setInterval(() => setSeconds((performance.now() - from) / 1000), 100);
    return () => {
      clearInterval(timer);
      setSeconds(0);
    };
  }, [running]);
  return seconds;
}
