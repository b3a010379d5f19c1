import type { ReactNode } from 'react';

/** A choice that stands in a line of buttons. */
export function Pick({
  label,
  value,
  onPick,
  children,
}: {
  readonly label: string;
  readonly value: string;
  readonly onPick: (value: string) => void;
  readonly children: ReactNode;
}) {
  return (
    <label className="flex items-center gap-2">
      {label}
      <select
        value={value}
        onChange={({ target }) => onPick(target.value)}
        className="min-h-11 max-w-72 rounded-md border-2 border-edge bg-sheet px-2"
      >
        {children}
      </select>
    </label>
  );
}
