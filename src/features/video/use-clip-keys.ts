'use client';

import { useEffect, useRef } from 'react';
import { markKinds, markWords } from '@/core/video/marks';
import type { Clip } from './use-clip';

/** Where letters are written, or choose from a list. A file that was just chosen leaves its field with the focus. */
const writes = 'input:not([type=range], [type=file], [type=checkbox]), textarea, select, [role=dialog]';
/** What the space bar presses. */
const pressed = 'button, input[type=file], input[type=checkbox]';

/** Marks by their letters, frames by the arrows, play and pause by the space bar; not while somebody writes. */
export function useClipKeys(clip: Clip): void {
  const latest = useRef(clip);
  useEffect(() => {
    latest.current = clip;
  });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const { target } = event;
      const now = latest.current;
      if (!now.url || event.ctrlKey || event.metaKey || event.altKey) return;
      const within = (what: string) => target instanceof Element && target.closest(what) !== null;
      if (within(writes)) return;
      if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') {
        event.preventDefault();
        void now.step(event.key === 'ArrowLeft' ? -1 : 1);
        return;
      }
      if (event.key === ' ') {
        if (within(pressed)) return;
        event.preventDefault();
        return now.playing ? now.pause() : now.play();
      }
      const kind = markKinds.find((one) => markWords[one].key === event.key);
      if (!kind || now.playing) return;
      event.preventDefault();
      void now.mark(kind);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
}
