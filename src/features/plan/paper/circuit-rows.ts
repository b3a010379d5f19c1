import { clockTime, inMinutes } from '@/core/base/words';
import type { PaperCircuit } from '@/session/plan/paper';
import { groupLetter } from '@/ui/circuit-names';

/** A circuit as rows of words: a head, and one line a round. For the browser's print and for the PDF alike. */
export interface CircuitRows {
  readonly about: string;
  /** "A: Ada, Bo" */
  readonly groups: readonly string[];
  readonly head: readonly string[];
  readonly rounds: readonly (readonly string[])[];
}

/** @param first the number of its first station in the plan, from 1 */
export function circuitRows(
  { titles, helpers, groups, stationS, changeS, rounds }: PaperCircuit,
  names: ReadonlyMap<string, string>,
  first: number,
): CircuitRows {
  const rests = rounds.some((round) => round.rests !== null);
  const letter = (group: number | null) => (group === null ? '–' : groupLetter(group));
  return {
    about: `Side by side: ${inMinutes(stationS)} at each station, ${inMinutes(changeS)} to walk on.`,
    groups: groups.map((ids, index) => `${groupLetter(index)}: ${ids.map((id) => names.get(id)).join(', ')}`),
    head: [
      'From',
      ...titles.map(
        (title, index) => `${first + index}. ${title}${helpers[index] ? ` (${helpers[index]})` : ''}`,
      ),
      ...(rests ? ['Rests'] : []),
    ],
    rounds: rounds.map((round) => [
      clockTime(round.fromS),
      ...round.at.map(letter),
      ...(rests ? [letter(round.rests)] : []),
    ]),
  };
}
