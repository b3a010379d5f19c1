import type { ReactNode } from 'react';

/** A page's title, a line about it, and what can be done with it. */
export function PageHead({
  title,
  children,
  actions,
}: {
  title: ReactNode;
  children?: ReactNode;
  actions?: ReactNode;
}) {
  return (
    <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2 pt-5 pb-4">
      <div className="min-w-0">
        <h1 className="text-3xl">{title}</h1>
        {children && <div className="mt-1 text-soft">{children}</div>}
      </div>
      {actions && <div className="flex flex-wrap items-center gap-2 print:hidden">{actions}</div>}
    </div>
  );
}

/** A quiet box: what belongs together. */
export function Sheet({
  children,
  className = '',
  ...rest
}: {
  children: ReactNode;
  className?: string;
  'aria-label'?: string;
  readonly id?: string;
}) {
  return (
    <section className={`rounded-md border-2 border-line bg-sheet ${className}`} {...rest}>
      {children}
    </section>
  );
}
