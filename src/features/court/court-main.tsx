'use client';

import { useSyncExternalStore, type ReactNode } from 'react';
import { cx } from '@/ui/class-names';

const never = () => () => undefined;

/**
 * The whole of a court screen. Until the page is alive nothing on it can be pressed, and it looks so: a press on what the
 * server drew would be lost without a word.
 */
export function CourtMain({ children }: { readonly children: ReactNode }) {
  const alive = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  return (
    <main
      inert={!alive}
      aria-busy={!alive}
      className={cx('flex h-dvh flex-col gap-2 p-2', !alive && 'opacity-50')}
    >
      {children}
    </main>
  );
}
