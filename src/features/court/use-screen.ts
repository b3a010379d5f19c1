'use client';

import { useEffect, useSyncExternalStore } from 'react';
import { keepInStep } from '@/court/clear-device';
import { pageFact } from '@/court/kept-pages';

export function toggleFullscreen(): void {
  if (document.fullscreenElement) void document.exitFullscreen();
  else void document.documentElement.requestFullscreen?.().catch(() => undefined);
}

const onFullscreen = (listener: () => void) => {
  document.addEventListener('fullscreenchange', listener);
  return () => document.removeEventListener('fullscreenchange', listener);
};

export const useFullscreen = (): boolean =>
  useSyncExternalStore(
    onFullscreen,
    () => document.fullscreenElement !== null,
    () => false,
  );

let phoneMedia: MediaQueryList | null = null;
const phone = () => (phoneMedia ??= window.matchMedia('(max-width: 639px)'));
const onPhone = (listener: () => void) => {
  const media = phone();
  media.addEventListener('change', listener);
  return () => media.removeEventListener('change', listener);
};

/** True on a screen that has room for one player. */
export const usePhone = (): boolean =>
  useSyncExternalStore(
    onPhone,
    () => phone().matches,
    () => false,
  );

/**
 * Lets the run screen be opened again without the server: the service worker keeps this page and what it is made of.
 * @param loadRest fetches what comes after the page itself; the same function every time
 */
export function useOffline(loadRest?: () => Promise<unknown>): void {
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return;
    const keep = async () => {
      try {
        // What was kept of children who are in the book no more goes first.
        await keepInStep();
        await navigator.serviceWorker.register('/sw.js');
        const { active } = await navigator.serviceWorker.ready;
        // What is fetched later has to be here before it can be kept.
        await Promise.allSettled([loadRest?.(), import('@/ui/figure-sheet')]);
        const parts = performance
          .getEntriesByType('resource')
          .map(({ name }) => new URL(name))
          .filter(
            ({ origin, pathname }) => origin === location.origin && pathname.startsWith('/_next/static/'),
          );
        active?.postMessage({
          kind: 'keep',
          page: location.pathname,
          whose: pageFact('whose') ?? '',
          parts: [...new Set(parts.map(({ pathname }) => pathname))],
        });
      } catch {
        // A private window has no service worker: counting goes on, only a reload needs the server.
      }
    };
    void keep();
  }, [loadRest]);
}
