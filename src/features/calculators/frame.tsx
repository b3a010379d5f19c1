import { Link } from '@/ui/link';
import type { ReactNode } from 'react';
import { cx } from '@/ui/class-names';

export const benches = [
  { id: 'wall', title: 'Wall' },
  { id: 'toss', title: 'Toss and tap' },
  { id: 'feeder', title: 'Feeder' },
  { id: 'net', title: 'Over the net' },
  { id: 'rally', title: 'What if' },
] as const;
export type BenchId = (typeof benches)[number]['id'];

/** The benches: what coaches feel by hand, worked out. What is set goes on the left, what comes of it on the right. */
export function BenchFrame({ here, set, children }: { here: BenchId; set: ReactNode; children: ReactNode }) {
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-4 pt-4 pb-3">
        <h1 className="text-3xl">Calculators</h1>
        <nav aria-label="Calculators" className="flex flex-wrap gap-1">
          {benches.map(({ id, title }) => (
            <Link
              key={id}
              href={`/benches/${id}`}
              aria-current={id === here ? 'page' : undefined}
              className={cx(
                'inline-flex min-h-11 items-center rounded-md border-2 px-4 font-semibold hover:bg-chalk',
                id === here ? 'border-ink bg-chalk' : 'border-line bg-sheet',
              )}
            >
              {title}
            </Link>
          ))}
        </nav>
      </div>
      <div className="grid items-start gap-4 lg:grid-cols-[19rem_minmax(0,1fr)]">
        <section aria-label="Set up" className="rounded-md border-2 border-line bg-sheet p-3">
          {set}
        </section>
        <div className="min-w-0 space-y-3">{children}</div>
      </div>
    </>
  );
}
