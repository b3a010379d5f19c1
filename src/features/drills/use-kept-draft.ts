'use client';

import { useEffect, useRef, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { dropDraft, keepDraft, readDraft } from '@/ui/drafts';
import type { Draft } from './draft';
import { upgradedDraft } from './old-draft';

/** Keys are gathered for so long before the draft is written down, milliseconds. Ours. */
const settleMs = 300;

/**
 * Keeps what is typed into the drill's form in this browser until it is saved, and brings it back when the form is
 * opened again.
 */
export function useKeptDraft(
  form: UseFormReturn<Draft>,
  key: string,
  fresh: () => Draft,
): { readonly keptMs: number | null; readonly startOver: () => void; readonly saved: () => void } {
  const [keptMs, setKeptMs] = useState<number | null>(null);
  const done = useRef(false);
  const freshRef = useRef(fresh);
  useEffect(() => {
    const kept = readDraft<Draft>(key);
    // Drawn by the server without it: it comes in once the form is here.
    const back = setTimeout(() => {
      if (!kept) return;
      form.reset({ ...freshRef.current(), ...upgradedDraft(kept.value) });
      setKeptMs(kept.atMs);
    });
    let timer: ReturnType<typeof setTimeout> | undefined;
    const write = () => {
      if (!done.current) keepDraft(key, form.getValues());
    };
    let waits = false;
    const watch = form.watch((_value, { name }) => {
      // Only what somebody did is a draft, not what the form was filled with.
      if (name === undefined) return;
      waits = true;
      clearTimeout(timer);
      timer = setTimeout(write, settleMs);
    });
    return () => {
      clearTimeout(back);
      clearTimeout(timer);
      watch.unsubscribe();
      if (waits) write();
    };
  }, [form, key]);
  return {
    keptMs,
    startOver: () => {
      dropDraft(key);
      form.reset(freshRef.current());
      setKeptMs(null);
    },
    saved: () => {
      done.current = true;
      dropDraft(key);
    },
  };
}
