import { Link } from './link';
import { cx } from './class-names';

interface Props {
  /** What they are the rooms of. */
  readonly label: string;
  readonly rooms: readonly (readonly [path: string, title: string])[];
  readonly here: string;
}

/** The rooms of a page, side by side; the one that is open stands out. */
export function Tabs({ label, rooms, here }: Props) {
  return (
    <nav aria-label={label} className="mb-3 flex flex-wrap gap-1 border-b-2 border-ink">
      {rooms.map(([path, title]) => (
        <Link
          key={path}
          href={path}
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
