import Link from 'next/link';
import { cx } from '@/ui/class-names';

const tabs = [
  ['', 'Ladders'],
  ['/progress', 'Progress'],
] as const;

/** The rooms of a player's page. */
export function PlayerTabs({ id, here }: { readonly id: string; readonly here: (typeof tabs)[number][1] }) {
  return (
    <nav aria-label="Player" className="mb-3 flex gap-1 border-b-2 border-ink">
      {tabs.map(([path, title]) => (
        <Link
          key={title}
          href={`/players/${id}${path}`}
          prefetch={false}
          aria-current={title === here ? 'page' : undefined}
          className={cx(
            'inline-flex min-h-11 items-center rounded-t-md px-4 font-semibold',
            title === here ? 'bg-ink text-paper' : 'hover:bg-chalk',
          )}
        >
          {title}
        </Link>
      ))}
    </nav>
  );
}
