import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/**
 * True once the page is alive in the browser. What can only be pressed, and is long, waits for it: the server then
 * sends the page sooner.
 */
export function useHydrated(): boolean {
  return useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
}
