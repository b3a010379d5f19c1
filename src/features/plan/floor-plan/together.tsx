import { marksTogether, type PlacedSlot, type SetOut } from '@/session/plan/set-out';
import { DrawingToTake } from '@/ui/drawing/to-take';
import { Sheet } from '@/ui/page-head';
import { useUnits } from '@/ui/units';
import { FloorPlan } from './floor-plan';
import { MarksTable } from './marks-table';

interface Props {
  readonly place: SetOut['place'];
  /** Slots that are measured from the same corner. */
  readonly slots: readonly PlacedSlot[];
  readonly paces: number | null;
}

/** Every mark of the session at once, for those who set all of it out before anybody comes. */
export function Together({ place, slots, paces }: Props) {
  const { length } = useUnits();
  const { marks, walkM } = marksTogether(slots);
  const [first] = slots;
  if (!first) return null;
  const all: PlacedSlot = { ...first, blocks: slots.flatMap(({ blocks }) => blocks) };
  return (
    <Sheet className="space-y-3 p-4">
      <h2 className="text-2xl">All blocks together</h2>
      <p>
        {marks.length === 0
          ? 'Nothing lies on the floor in this session.'
          : `${marks.length} marks in all, ${length(walkM)} to walk from the left corner. Beside each stands which blocks need it.`}
      </p>
      <DrawingToTake name="set-out-together">
        <FloorPlan
          place={place}
          slot={all}
          numbered={marks}
          beside={marks.map(({ blocks }) => blocks.join(', '))}
          over
        />
      </DrawingToTake>
      {marks.length > 0 && (
        <MarksTable
          marks={marks.map((one) => ({ ...one, beside: one.blocks.join(', ') }))}
          head="Blocks"
          alongM={first.floor.alongM}
          paces={paces}
        />
      )}
    </Sheet>
  );
}
