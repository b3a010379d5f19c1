'use client';

import { useEffect, useState } from 'react';

type Part = typeof import('./keys-dialog');

/** Where a question mark is a letter, or a sheet is open already. */
const elsewhere = (target: EventTarget | null): boolean =>
  (target instanceof Element && target.closest('input, textarea, select, [contenteditable]') !== null) ||
  document.querySelector('[role=dialog]') !== null;

/** Shows the keys when a question mark is pressed; fetched the first time it is. */
export function KeysOnQuestion() {
  const [part, setPart] = useState<Part | null>(null);
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key !== '?' || event.ctrlKey || event.metaKey || event.altKey || elsewhere(event.target))
        return;
      event.preventDefault();
      // Away for a moment, the server gives it the next time.
      import('./keys-dialog').then(
        (it) => {
          setPart(it);
          setOpen(true);
        },
        () => undefined,
      );
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
  return part && open ? <part.KeysDialog onClose={() => setOpen(false)} /> : null;
}
