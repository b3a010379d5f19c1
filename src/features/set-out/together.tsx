import { tapesTo } from '@/core/geometry/taping';
import { inPaces } from '@/core/movement/paces';
import { marksTogether, type PlacedSlot, type SetOut } from '@/session/set-out';
import { DrawingToTake } from '@/ui/drawing/to-take';
import { Sheet } from '@/ui/page-head';
import { useUnits } from '@/ui/units';
import { FloorPlan } from './floor-plan';

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
        <div className="overflow-x-auto">
          <table className="tabular w-full text-left">
            <caption className="sr-only">All marks by two tapes, in the order they are walked to</caption>
            <thead>
              <tr className="text-sm text-soft">
                <th scope="col">Mark</th>
                <th scope="col">Blocks</th>
                <th scope="col" className="text-right">
                  From the left
                </th>
                <th scope="col" className="text-right">
                  From the right
                </th>
                {paces !== null && (
                  <th scope="col" className="text-right">
                    Paces
                  </th>
                )}
              </tr>
            </thead>
            <tbody>
              {marks.map(({ at, label, blocks }, n) => {
                const { fromLeft, fromRight } = tapesTo(at, first.floor.alongM);
                return (
                  <tr key={n} className="border-t border-line">
                    <th scope="row" className="pr-2 font-normal">
                      {label}
                    </th>
                    <td className="font-bold">{blocks.join(', ')}</td>
                    <td className="text-right">{length(fromLeft)}</td>
                    <td className="text-right">{length(fromRight)}</td>
                    {paces !== null && (
                      <td className="text-right">{`${inPaces(fromLeft, paces)} / ${inPaces(fromRight, paces)}`}</td>
                    )}
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
    </Sheet>
  );
}
