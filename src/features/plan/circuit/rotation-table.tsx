import type { CircuitShape } from '@/core/plan/circuit/circuit';
import { roundsOf } from '@/core/plan/circuit/rotation';
import { groupLetter } from '@/ui/circuit-names';

interface Props {
  readonly shape: CircuitShape;
  readonly titles: readonly string[];
  readonly first: number;
}

/** Who is where, round by round. */
export function RotationTable({ shape, titles, first }: Props) {
  const rounds = roundsOf(shape);
  const rests = rounds.some((round) => round.rests !== null);
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Who is where">
      <table className="tabular w-full min-w-max text-left text-sm">
        <caption className="sr-only">Who is where, round by round</caption>
        <thead>
          <tr className="border-b-2 border-line">
            <th scope="col" className="pr-3">
              Round
            </th>
            {titles.map((title, index) => (
              <th key={index} scope="col" className="max-w-40 truncate pr-3" title={title}>
                {first + index}. {title}
              </th>
            ))}
            {rests && <th scope="col">Rests</th>}
          </tr>
        </thead>
        <tbody>
          {rounds.map((round, index) => (
            <tr key={index} className="border-b border-line">
              <th scope="row">{index + 1}</th>
              {round.at.map((group, station) => (
                <td key={station} className="font-semibold">
                  {group === null ? <span className="font-normal text-soft">free</span> : groupLetter(group)}
                </td>
              ))}
              {rests && <td>{round.rests === null ? '–' : groupLetter(round.rests)}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
