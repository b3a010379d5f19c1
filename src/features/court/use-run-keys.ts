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
  /** Brings a player to the screen who is counted by a number and is not on it. */
  readonly showNumber: (number: number) => void;
  /** False while a number counts nothing, because the page has just been turned. */
  readonly isSettled: () => boolean;
}

/** Presses a zone of a tile as a finger would, so that keys and fingers log the same. */
function pressZone(name: 'touch' | 'miss', number: number, atMs: number): boolean {
  const zone = document.querySelector<HTMLElement>(`[data-${name}-of="${number}"]`);
  const press = new PointerEvent('pointerdown', { bubbles: true, button: 0 });
  // The moment of the key, not of this line.
  Object.defineProperty(press, 'timeStamp', { value: atMs });
  zone?.dispatchEvent(press);
  return zone !== null;
}

/** Where keys mean letters or belong to an open sheet. */
const elsewhere = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest('input, textarea, select, [role=dialog]') !== null;

/** The keys of the twelve numbers there can be: along the row of digits. */
const numbers: Readonly<Record<string, number>> = {
  ...Object.fromEntries(
    [1, 2, 3, 4, 5, 6, 7, 8, 9].flatMap((n) => [
      [`Digit${n}`, n],
      [`Numpad${n}`, n],
    ]),
  ),
  Digit0: 10,
  Numpad0: 10,
  Minus: 11,
  Equal: 12,
};

/**
 * The whole run by keyboard: 1 to 9, 0, - and = count a touch for numbers 1 to 12, with shift a miss; C types a count;
 * U or backspace undoes; space starts and pauses, wherever the focus is; A adjusts; T is for time; N and P turn to the
 * next block and the one before.
 */
export function useRunKeys(keys: Partial<RunKeys>): void {
  useEffect(() => {
    const letters: Readonly<Record<string, (() => void) | undefined>> = {
      ' ': keys.toggleClock,
      u: keys.undo,
      backspace: keys.undo,
      a: keys.adjust,
      t: keys.time,
      c: keys.typeCount,
      n: keys.next,
      p: keys.before,
    };
    const taken = (event: KeyboardEvent) =>
      !(event.ctrlKey || event.metaKey || event.altKey || elsewhere(event.target));
    const press = (event: KeyboardEvent) => {
      if (!taken(event)) return;
      const number = numbers[event.code];
      const act = letters[event.key.toLowerCase()];
      // A key held down means one press; a space that does nothing more must not press a button either.
      if (number === undefined && !act) return;
      event.preventDefault();
      if (event.repeat) return;
      if (number === undefined) return act!();
      if (keys.isSettled?.() === false) return;
      if (pressZone(event.shiftKey ? 'miss' : 'touch', number, event.timeStamp)) return;
      // Points have zones of their own: the number brings the first one to hand.
      const zone = document.querySelector<HTMLElement>(`[data-zone-of="${number}"]`);
      if (zone) zone.focus();
      else keys.showNumber?.(number);
    };
    // A button that has the focus is pressed by a space when the key comes up: here it belongs to the clock.
    const release = (event: KeyboardEvent) => {
      if (event.key === ' ' && letters[' '] && taken(event)) event.preventDefault();
    };
    window.addEventListener('keydown', press);
    window.addEventListener('keyup', release);
    return () => {
      window.removeEventListener('keydown', press);
      window.removeEventListener('keyup', release);
    };
  }, [keys]);
}
