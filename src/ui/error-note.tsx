import type { ReactNode } from 'react';

/** Something that could not be done, and how to mend it. */
export function ErrorNote({ children }: { children: ReactNode }) {
  return (
    <p role="alert" className="rounded-md border-2 border-stop bg-stop-bg px-4 py-2 font-semibold text-stop">
      {children}
    </p>
  );
}
