import type { ReactNode } from 'react';
import { cx } from '@/ui/class-names';

interface Props {
  readonly on?: boolean;
  readonly disabled?: boolean;
  readonly label?: string;
  readonly title?: string;
  readonly onPress: () => void;
  readonly children: ReactNode;
}

/** One press on court: big enough for a thumb, and it shows whether it is on. */
export function Chip({ on, disabled, label, title, onPress, children }: Props) {
  return (
    <button
      type="button"
      aria-pressed={on}
      aria-label={label}
      title={title}
      disabled={disabled}
      onClick={onPress}
      className={cx(
        'inline-flex min-h-12 touch-manipulation items-center gap-1.5 rounded-md border-2 px-3 text-base leading-tight font-semibold disabled:opacity-50',
        on ? 'border-ink bg-ink text-paper' : 'border-edge bg-sheet active:bg-chalk',
      )}
    >
      {children}
    </button>
  );
}

/** A line of chips under one word. */
export function ChipRow({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div role="group" aria-label={label} className="flex flex-wrap items-center gap-1.5">
      <span className="w-20 shrink-0 text-base text-soft">{label}</span>
      {children}
    </div>
  );
}
