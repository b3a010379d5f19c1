'use client';

import { useEffect } from 'react';

export interface RunKeys {
  readonly undo: () => void;
  readonly toggleClock: () => void;
  readonly next: () => void;
  readonly before: () => void;
}

/** Presses a zone of a tile as a finger would, so that keys and fingers log the same. */
function pressZone(name: 'touch' | 'miss', digit: string): boolean {
  const zone = document.querySelector<HTMLElement>(`[data-${name}-of="${digit}"]`);
  zone?.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, button: 0 }));
  return zone !== null;
}

/**
 * The whole run by keyboard: 1 to 6 count a touch, with shift a miss; U or backspace undoes;
 * space starts and pauses; N and P turn to the next block and the one before.
 */
export function useRunKeys({ undo, toggleClock, next, before }: RunKeys): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const digit = /^(?:Digit|Numpad)([1-6])$/.exec(event.code)?.[1];
      const onButton = event.target instanceof HTMLButtonElement || event.target instanceof HTMLAnchorElement;
      if (digit) {
        // Points have zones of their own: the digit brings the first one to hand.
        if (!pressZone(event.shiftKey ? 'miss' : 'touch', digit))
          document.querySelector<HTMLElement>(`[data-zone-of="${digit}"]`)?.focus();
      } else if (event.key === 'Backspace' || event.key.toLowerCase() === 'u') undo();
      else if (event.key === ' ' && !onButton) toggleClock();
      else if (event.key.toLowerCase() === 'n') next();
      else if (event.key.toLowerCase() === 'p') before();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [undo, toggleClock, next, before]);
}
