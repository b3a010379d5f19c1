import { distance } from '@/core/geometry/points';
import { diagonal, furthestApart } from '@/core/geometry/taping';
import { toleranceOf } from '@/core/movement/tolerance';
import type { PlacedSlot } from '@/session/plan/set-out';
import { useUnits } from '@/ui/units';
import { MarksTable } from './marks-table';

interface Props {
  readonly slot: PlacedSlot;
  /** The coach's own paces over ten metres; null where nobody counted them. */
  readonly paces: number | null;
}

/** Every mark by two tapes, in the order they are walked to; what is there already and stays; and a check. */
export function TapeList({ slot, paces }: Props) {
  const { length } = useUnits();
  const { comes, stays, walkM, floor } = slot;
  const { alongM, deepM } = floor;
  if (comes.length + stays.length === 0)
    return <p className="text-soft">Nothing lies on the floor for this.</p>;
  const tolerance = slot.blocks.flatMap(({ title, lanes }) => {
    const off = lanes.flatMap(({ layout }) => toleranceOf(layout) ?? []);
    return off.length > 0 ? [{ title, offM: Math.min(...off) }] : [];
  });
  const check = furthestApart(comes.length > 1 ? comes : [...comes, ...stays]);
  return (
    <div className="space-y-2">
      {comes.length > 0 && (
        <MarksTable
          marks={comes.map((one, n) => ({ ...one, beside: String(n + 1) }))}
          head="No."
          alongM={alongM}
          paces={paces}
        />
      )}
      {stays.length > 0 && (
        <p>
          <b>There already, and stays:</b>{' '}
          {stays.map(({ label }, n) => `${comes.length + n + 1} ${label}`).join(', ')}.
        </p>
      )}
      {check && (
        <p>
          <b>Check:</b> from “{check[0].label}” to “{check[1].label}” it is{' '}
          {length(distance(check[0].at, check[1].at))}.
        </p>
      )}
      {tolerance.map(({ title, offM }) => (
        <p key={title} className="text-sm text-soft">
          {`${slot.blocks.length > 1 ? `${title}: a` : 'A'} mark may lie ${length(offM)} off; further, and it is another drill.`}
        </p>
      ))}
      {comes.length > 1 && (
        <p className="text-sm text-soft">
          In this order you walk {length(walkM)} from the left corner. The floor is square where both ways
          across it are {length(diagonal(alongM, deepM))}.
        </p>
      )}
    </div>
  );
}
