import { refused, type Outcome } from '@/core/base/outcome';
import { counted } from '@/core/base/words';
import { oneInProcess } from './one';
import { Line } from './line';

/** What takes long: one of a kind is done at a time, in the order they came. So many may wait for each. Ours. */
const kinds = {
  pdf: { most: 30, says: 'papers' },
  track: { most: 4, says: 'tracks' },
  export: { most: 6, says: 'files' },
  bring: { most: 2, says: 'files' },
  copy: { most: 3, says: 'copies' },
} as const;
export type Heavy = keyof typeof kinds;

const lines = oneInProcess(
  'lines',
  () =>
    Object.fromEntries(Object.entries(kinds).map(([kind, { most }]) => [kind, new Line(most)])) as Record<
      Heavy,
      Line
    >,
);

/** Why somebody cannot even wait, with how many are before them. */
export const lineIsFull = (kind: Heavy): string =>
  `${counted(lines[kind].length, 'other')} wait for their ${kinds[kind].says} already: try again in a moment.`;

/** Does something when its turn comes; refused where too many wait. For actions: who leaves the page still gets it done. */
export async function whenTurnComes<T>(kind: Heavy, work: () => Promise<Outcome<T>>): Promise<Outcome<T>> {
  const leave = await lines[kind].enter(new AbortController().signal);
  if (!leave) return refused(kind, lineIsFull(kind));
  return work().finally(leave);
}

/** Waits for one's turn; null where too many wait, or the one who waits has left. */
export const enterLine = (kind: Heavy, signal: AbortSignal): Promise<(() => void) | null> =>
  lines[kind].enter(signal);
