import { counted } from '@/core/base/words';
import { shortDay } from '@/core/base/day-words';
import type { VowLine } from '@/server/views/vows';

/** How a vow is kept, without a word of reproach. */
export function keptWords({ keeping }: Pick<VowLine, 'keeping'>): string {
  const { kept, asked, keptOfAsked, run, started } = keeping;
  if (asked === 0 && kept === 0) return 'It has not begun yet.';
  const all = asked === 0 ? '' : `${keptOfAsked} of ${counted(asked, 'day')} kept`;
  // A day of the child's own choice keeps no day that was asked for.
  const besides = kept > keptOfAsked ? `${counted(kept - keptOfAsked, 'other day')} kept` : '';
  const begun = started > 0 ? `${started} begun` : '';
  const inARow = run > 1 ? `${run} in a row now` : '';
  return `${[all, besides, begun, inARow].filter(Boolean).join(', ')}.`;
}

/** Where a vow is: what runs out when. */
export function stateWords({ state, daysLeft, untilDay, fromDay, why }: VowLine): string {
  switch (state) {
    case 'runs':
      return daysLeft === 1
        ? 'Today is its last day.'
        : `${counted(daysLeft, 'day')} left, until ${shortDay(untilDay)}`;
    case 'rests':
      return `Rests now; until ${shortDay(untilDay)}`;
    case 'to come':
      return `Begins ${shortDay(fromDay)}`;
    case 'over':
      return `Ran until ${shortDay(untilDay)}`;
    case 'ended':
      return `Ended ${shortDay(untilDay)}${why ? `: ${why}` : ''}`;
  }
}

const faces = { 1: 'hard', 2: 'just right', 3: 'easy' } as const;

/** The last word from home. */
export const feltWords = (felt: VowLine['felt']): string | null =>
  felt &&
  [
    felt.face !== null && felt.face in faces ? `felt ${faces[felt.face as 1]}` : '',
    felt.text ? `“${felt.text}”` : '',
  ]
    .filter(Boolean)
    .join(', ') + ` (${shortDay(felt.day)})`;
