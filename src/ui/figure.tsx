'use client';

import { Popover } from 'radix-ui';
import { createContext, useContext, useMemo, useRef, useState, type ReactNode } from 'react';
import type { Explanation } from '@/core/explain';
import { cx } from './class-names';

type Open = (anchor: HTMLElement, explanation: Explanation) => void;
const FigureContext = createContext<Open>(() => undefined);

/**
 * One sheet for the whole page in which any computed number is opened.
 * (A popover per number would cost every page hundreds of components.)
 */
export function FigureProvider({ children }: { children: ReactNode }) {
  const anchor = useRef<HTMLElement | null>(null);
  const [shown, setShown] = useState<Explanation | null>(null);
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
      <Popover.Root open={shown !== null} onOpenChange={(isOpen) => !isOpen && setShown(null)}>
        <Popover.Anchor virtualRef={anchor as React.RefObject<HTMLElement>} />
        <Popover.Portal>
          <Popover.Content
            collisionPadding={12}
            sideOffset={6}
            aria-label={shown?.title}
            onCloseAutoFocus={(event) => {
              event.preventDefault();
              anchor.current?.focus();
            }}
            className="z-50 max-h-[70vh] w-[min(30rem,92vw)] overflow-y-auto rounded-md border-2 border-ink bg-sheet p-4"
          >
            {shown && <Sheet {...shown} />}
            <Popover.Close className="mt-3 min-h-11 rounded-md border-2 border-edge px-4 font-semibold hover:bg-chalk">
              Close
            </Popover.Close>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </FigureContext.Provider>
  );
}

function Sheet({ title, value, formula, inputs, source }: Explanation) {
  return (
    <div>
      <h2 className="text-lg">
        {title}: <span className="tabular">{value}</span>
      </h2>
      <p className="mt-2">{formula}</p>
      <table className="mt-3 w-full border-t border-line text-left text-sm">
        <caption className="sr-only">What goes into {title}</caption>
        <tbody>
          {inputs.map((input, index) => (
            <tr key={index} className="border-b border-line align-top">
              <th scope="row" className="py-1 pr-3 font-semibold">
                {input.label}
              </th>
              <td className="tabular py-1 pr-3 font-semibold whitespace-nowrap">{input.value}</td>
              <td className="py-1 text-soft">{input.from}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-sm text-soft">Source: {source}</p>
    </div>
  );
}

export interface FigureProps {
  readonly children: ReactNode;
  /** Made when it is opened, not before. */
  readonly explain: () => Explanation;
  readonly label?: string;
  readonly className?: string;
}

/** A computed number that can be opened to its inputs and formula. */
export function Figure({ children, explain, label, className }: FigureProps) {
  const open = useContext(FigureContext);
  return (
    <button
      type="button"
      aria-label={label}
      aria-haspopup="dialog"
      onClick={(event) => open(event.currentTarget, explain())}
      className={cx(
        'tabular rounded-sm underline decoration-edge decoration-dotted decoration-2 underline-offset-4 hover:bg-chalk',
        className,
      )}
    >
      {children}
    </button>
  );
}
