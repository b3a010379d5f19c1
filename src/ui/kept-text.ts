'use client';

import { useCallback, useSyncExternalStore } from 'react';

const listeners = new Set<() => void>();
/** What a private window cannot keep holds until the page goes. */
const unkept = new Map<string, string>();

function read(key: string): string {
  try {
    return unkept.get(key) ?? localStorage.getItem(key) ?? '';
  } catch {
    return '';
  }
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  // Another tab has written.
  window.addEventListener('storage', listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', listener);
  };
};

/** A text that belongs to this device and not to the book: empty on the server, and where nothing was kept. */
export function useKeptText(key: string): [string, (text: string) => void] {
  const text = useSyncExternalStore(
    subscribe,
    () => read(key),
    () => '',
  );
  const change = useCallback(
    (next: string) => {
      try {
        localStorage.setItem(key, next);
        unkept.delete(key);
      } catch {
        unkept.set(key, next);
      }
      for (const listener of listeners) listener();
    },
    [key],
  );
  return [text, change];
}
