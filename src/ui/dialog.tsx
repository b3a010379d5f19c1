'use client';

import { X } from 'lucide-react';
import { Dialog as Radix } from 'radix-ui';
import { useRef, type ReactNode } from 'react';
import { cx } from './class-names';

export interface DialogProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly title: string;
  readonly intro?: string;
  /** False where fields are only one thing among others: a sheet of switches should not call up a keyboard. */
  readonly startsAtField?: boolean;
  /** For what is looked at side by side. */
  readonly wide?: boolean;
  readonly children: ReactNode;
}

/** A sheet laid over the page for one task. */
export function Dialog({
  open,
  onOpenChange,
  title,
  intro,
  startsAtField = true,
  wide = false,
  children,
}: DialogProps) {
  // Opened by any button, not by a trigger of the library's: where the focus was is where it goes back to.
  const before = useRef<Element | null>(null);
  return (
    <Radix.Root open={open} onOpenChange={onOpenChange}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <Radix.Content
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            if (before.current instanceof HTMLElement) before.current.focus();
          }}
          onOpenAutoFocus={(event) => {
            before.current = document.activeElement;
            // A form starts at its first field, not at the button that closes it.
            const first =
              startsAtField &&
              (event.target as HTMLElement).querySelector<HTMLElement>('input, select, textarea');
            if (!first) return;
            event.preventDefault();
            first.focus();
          }}
          {...(intro ? {} : { 'aria-describedby': undefined })}
          className={cx(
            'fixed top-1/2 left-1/2 z-50 max-h-[94vh] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-md border-2 border-ink bg-paper p-6',
            wide ? 'w-[min(76rem,96vw)]' : 'w-[min(44rem,94vw)]',
          )}
        >
          <div className="mb-4 flex items-start justify-between gap-4">
            <div>
              <Radix.Title className="text-2xl">{title}</Radix.Title>
              {intro && <Radix.Description className="mt-1 text-soft">{intro}</Radix.Description>}
            </div>
            <Radix.Close className="inline-flex min-h-11 items-center gap-1 rounded-md px-2 font-semibold hover:bg-chalk">
              <X aria-hidden size={18} /> Close
            </Radix.Close>
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
