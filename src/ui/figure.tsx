'use client';

import { createContext, useContext, useMemo, useRef, useState, type ReactNode } from 'react';
import type { Explanation } from '@/core/base/explain';
import { cx } from './class-names';
import { usePart } from './use-part';

type Open = (anchor: HTMLElement, explanation: Explanation) => void;
/** Fetched once the page is alive: most pages are left again before a number is opened. */
const loadSheet = () => import('./figure-sheet');

const FigureContext = createContext<Open>(() => undefined);

/**
 * One sheet for the whole page in which any computed number is opened.
 * (A popover per number would cost every page hundreds of components.)
 */
export function FigureProvider({ children }: { children: ReactNode }) {
  const anchor = useRef<HTMLElement | null>(null);
  const [shown, setShown] = useState<Explanation | null>(null);
  const part = usePart(loadSheet);
  const open = useMemo<Open>(
    () => (element, explanation) => {
      anchor.current = element;
      setShown(explanation);
    },
    [],
  );
  return (
    <FigureContext.Provider value={open}>
      {children}
      {part && <part.FigureSheet anchor={anchor} shown={shown} onClose={() => setShown(null)} />}
    </FigureContext.Provider>
  );
}

export interface FigureProps {
  readonly children: ReactNode;
  /** Made when it is opened, not before; what makes it may be fetched then too. */
  readonly explain: () => Explanation | Promise<Explanation>;
  readonly label?: string;
  readonly className?: string;
}

/** What stands in the sheet where what explains the number could not be fetched. */
const notFetched: Explanation = {
  title: 'Not here',
  value: '–',
  formula: 'The server cannot be reached: press the number again once it is back.',
  inputs: [],
  source: '',
};

/** A computed number that can be opened to its inputs and formula. */
export function Figure({ children, explain, label, className }: FigureProps) {
  const open = useContext(FigureContext);
  return (
    <button
      type="button"
      aria-label={label}
      aria-haspopup="dialog"
      onClick={(event) => {
        const anchor = event.currentTarget;
        const explained = explain();
        if (!(explained instanceof Promise)) return open(anchor, explained);
        void explained.catch(() => notFetched).then((it) => open(anchor, it));
      }}
      className={cx(
        'hit tabular rounded-sm underline decoration-edge decoration-dotted decoration-2 underline-offset-4 hover:bg-chalk',
        className,
      )}
    >
      {children}
    </button>
  );
}
