import { isTaped, tapesTo } from '@/core/geometry/taping';
import { inPaces } from '@/core/movement/paces';
import type { Taped } from '@/core/movement/layout';
import { useUnits } from '@/ui/units';

interface Props {
  /** Points in the order they are walked to, each with what stands before its name: a number, or blocks. */
  readonly marks: readonly (Taped & { readonly beside: string })[];
  /** What that is. */
  readonly head: string;
  readonly alongM: number;
  /** The coach’s own paces over ten metres; null where nobody counted them. */
  readonly paces: number | null;
}

/** Marks by two tapes; where tapes are of no use, what is. */
export function MarksTable({ marks, head, alongM, paces }: Props) {
  const { length } = useUnits();
  return (
    <div className="overflow-x-auto">
      <table className="tabular w-full text-left">
        <caption className="sr-only">Marks by two tapes, in the order they are walked to</caption>
        <thead>
          <tr className="text-sm text-soft">
            <th scope="col">{head}</th>
            <th scope="col">Mark</th>
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
          {marks.map(({ at, label, beside }, n) => {
            const { fromLeft, fromRight } = tapesTo(at, alongM);
            return (
              <tr key={n} className="border-t border-line">
                <td className="font-bold">{beside}</td>
                <th scope="row" className="pr-2 font-normal">
                  {label}
                  {!isTaped(at, alongM) && (
                    <span className="block text-sm text-soft">
                      {at.y < 0.01
                        ? 'on the wall’s line: the left tape alone'
                        : `near the wall: straight out from it ${length(at.y)}, at ${length(at.x)} along`}
                    </span>
                  )}
                </th>
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
  );
}
