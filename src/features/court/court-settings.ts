'use client';

import { useCallback, useSyncExternalStore } from 'react';

/** How a coach likes the court screen; kept on the device. */
export interface CourtSettings {
  readonly leftHanded: boolean;
  readonly sound: boolean;
  readonly beat: boolean;
  readonly calls: boolean;
  readonly spoken: boolean;
  /** Added to or taken from the step's own tempo, percent. */
  readonly tempoPercent: number;
  /** Accents every so many beats; 0 for none. */
  readonly accentEvery: number;
  /** Who counts here; empty for the session's coach. */
  readonly name: string;
  /** True once it was read here what browsers leave out over plain http. */
  readonly knowsPlainHttp: boolean;
}

export const plainSettings: CourtSettings = {
  leftHanded: false,
  sound: true,
  beat: false,
  calls: true,
  spoken: true,
  tempoPercent: 100,
  accentEvery: 0,
  name: '',
  knowsPlainHttp: false,
};

const key = 'vowstep-court';
const listeners = new Set<() => void>();
let known: { text: string | null; settings: CourtSettings } | null = null;

/** What is kept, with what is missing or broken filled in. */
export function readSettings(text: string | null): CourtSettings {
  try {
    const kept = JSON.parse(text ?? '{}') as Record<string, unknown>;
    return Object.fromEntries(
      Object.entries(plainSettings).map(([name, plain]) => [
        name,
        typeof kept[name] === typeof plain ? kept[name] : plain,
      ]),
    ) as unknown as CourtSettings;
  } catch {
    return plainSettings;
  }
}

function read(): void {
  let text = known?.text ?? null;
  try {
    text = localStorage.getItem(key);
  } catch {
    // A private window keeps nothing: what was set holds until the page goes.
  }
  if (!known || known.text !== text) known = { text, settings: readSettings(text) };
}

/** Read once: the store is asked again only when another tab has written to it. */
function current(): CourtSettings {
  if (!known) read();
  return known!.settings;
}

const subscribe = (listener: () => void) => {
  const elsewhere = () => {
    read();
    listener();
  };
  listeners.add(listener);
  window.addEventListener('storage', elsewhere);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', elsewhere);
  };
};

export function useCourtSettings(): [CourtSettings, (change: Partial<CourtSettings>) => void] {
  const settings = useSyncExternalStore(subscribe, current, () => plainSettings);
  const change = useCallback((some: Partial<CourtSettings>) => {
    const next = { ...current(), ...some };
    const text = JSON.stringify(next);
    known = { text, settings: next };
    try {
      localStorage.setItem(key, text);
    } catch {
      // See above.
    }
    for (const listener of listeners) listener();
  }, []);
  return [settings, change];
}

/** The name of who counts on this device; null for the session's coach. */
export const whoCounts = (): string | null =>
  typeof window === 'undefined' ? null : current().name.trim() || null;
