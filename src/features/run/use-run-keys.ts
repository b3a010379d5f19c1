'use client';

import { useEffect } from 'react';

export interface RunKeys {
  readonly undo: () => void;
  readonly toggleClock: () => void;
  readonly next: () => void;
  readonly before: () => void;
  readonly adjust: () => void;
  readonly time: () => void;
  readonly typeCount: () => void;
}

/** Presses a zone of a tile as a finger would, so that keys and fingers log the same. */
function pressZone(name: 'touch' | 'miss', digit: string): boolean {
  const zone = document.querySelector<HTMLElement>(`[data-${name}-of="${digit}"]`);
  zone?.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, button: 0 }));
  return zone !== null;
}

/** Where keys mean letters or belong to an open sheet. */
const elsewhere = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest('input, textarea, select, [role=dialog]') !== null;

/**
 * The whole run by keyboard: 1 to 8 count a touch, with shift a miss; C types a count; U or backspace undoes; space
 * starts and pauses; A adjusts; T is for time; N and P turn to the next block and the one before.
 */
export function useRunKeys(keys: RunKeys): void {
  useEffect(() => {
    const letters: Readonly<Record<string, () => void>> = {
      u: keys.undo,
      backspace: keys.undo,
      a: keys.adjust,
      t: keys.time,
      c: keys.typeCount,
      n: keys.next,
      p: keys.before,
    };
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || elsewhere(event.target)) return;
      const digit = /^(?:Digit|Numpad)([1-8])$/.exec(event.code)?.[1];
      const onButton = event.target instanceof HTMLButtonElement || event.target instanceof HTMLAnchorElement;
      if (digit) {
        // Points have zones of their own: the digit brings the first one to hand.
        if (!pressZone(event.shiftKey ? 'miss' : 'touch', digit))
          document.querySelector<HTMLElement>(`[data-zone-of="${digit}"]`)?.focus();
      } else if (event.key === ' ') {
        if (onButton) return;
        keys.toggleClock();
      } else {
        const act = letters[event.key.toLowerCase()];
        if (!act) return;
        act();
      }
      event.preventDefault();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [keys]);
}
