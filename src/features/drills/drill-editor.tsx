'use client';

import { Link } from '@/ui/link';
import type { Drill } from '@/drills/base/types';
import { useHouse } from '@/ui/house';
import { catalogue } from '@/drills';
import { DrillForm } from './drill-form';
import { emptyDrill } from './draft';

interface Props {
  /** The own drill to change. */
  readonly id?: string;
  /** The drill to begin from. */
  readonly vary?: string;
}

/** The form on an own drill, on a variation of any drill, or on an empty one. */
export function DrillEditor({ id, vary }: Props) {
  const { contents } = useHouse();
  const find = (wanted: string | undefined): Drill | undefined =>
    [...contents.own, ...catalogue].find((drill) => drill.id === wanted);
  const own = id === undefined ? undefined : contents.own.find((drill) => drill.id === id);
  if (id !== undefined && !own)
    return (
      <p className="pt-8">
        Only your own drills can be changed. <Link href={`/drills/new?vary=${id}`}>Vary this one</Link>{' '}
        instead.
      </p>
    );
  if (own) return <DrillForm drill={own} id={own.id} draftKey={`drill-${own.id}`} />;
  const from = find(vary);
  return (
    <DrillForm
      drill={from ? { ...from, title: `${from.title}, our way` } : emptyDrill()}
      id={null}
      draftKey={`drill-new-${from?.id ?? ''}`}
    />
  );
}
