import { Link } from '@/ui/link';
import { usualS } from '@/session/drills/find';
import type { Drill } from '@/drills/base/types';
import type { Fit } from '@/core/venues/fits';
import { FitLine } from '@/ui/fit-line';
import { Stairs } from '@/ui/stairs';

interface Props {
  readonly drill: Drill;
  readonly fit: Fit;
  /** The age its minutes are worked out for. */
  readonly age: number;
  readonly own: boolean;
}

/** One drill on the list: what it is for, for whom, how long, and whether it fits here. */
export function DrillRow({ drill, fit, age, own }: Props) {
  const minutes = drill.steps.map((step) => usualS(drill, step, age) / 60);
  const [shortest, longest] = [Math.min(...minutes), Math.max(...minutes)].map((m) =>
    Math.max(1, Math.round(m)),
  );
  const measures = [...new Set(drill.steps.map((step) => step.measure))];
  return (
    <li
      className="flex flex-wrap items-center gap-x-3 border-b border-line px-3 py-1.5 last:border-0 md:flex-nowrap"
      data-drill={drill.id}
    >
      <Stairs treads={drill.steps} at="" width={72} height={40} label={`${drill.steps.length} steps`} />
      <div className="min-w-44 flex-1">
        <p>
          <Link
            href={`/drills/${drill.id}`}
            className="hit font-semibold underline-offset-4 hover:underline touch:py-2"
          >
            {drill.title}
          </Link>
          {own && <span className="ml-2 rounded-sm bg-chalk px-1.5 text-sm font-semibold">your own</span>}
        </p>
        <p className="text-sm text-soft">{drill.purpose}</p>
      </div>
      <p className="tabular w-28 shrink-0 text-sm text-soft">
        {`${drill.ages.from} to ${drill.ages.to} years`}
        <br />
        {`${shortest === longest ? longest : `${shortest} to ${longest}`} min`}
      </p>
      <p className="hidden w-28 shrink-0 text-sm text-soft xl:block">
        {measures.join(', ')}
        <br />
        {drill.players.min > 1 ? `${drill.players.min} and more` : 'alone or more'}
      </p>
      <FitLine fit={fit} className="w-52 shrink-0" />
    </li>
  );
}
