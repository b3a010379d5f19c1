import type { ReactNode } from 'react';

/** A fact of the house: its name, and what it is. */
export function Fact({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <div className="border-t border-line py-1">
      <dt className="text-sm text-soft">{name}</dt>
      <dd className="break-all">{children}</dd>
    </div>
  );
}
