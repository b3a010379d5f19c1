import { ageBands, type AgeBand } from '@/drills/base/types';
import type { Measure } from '@/core/counting/measure';
import type { Dose } from '@/core/dose/dose';

/** What a step of each measure begins with until the coach says otherwise: ours, small enough for any child. */
export interface Beginning {
  readonly doses: Readonly<Record<AgeBand, Dose>>;
  readonly mark: number;
  readonly zones?: readonly { readonly label: string; readonly points: number }[];
}

/** How much of the oldest's amount the younger ones do: ours. */
const shares: Readonly<Record<AgeBand, number>> = { '4-6': 0.4, '7-9': 0.6, '10-12': 0.8, '13-16': 1 };

function byAge(dose: (amount: (most: number) => number) => Dose): Beginning['doses'] {
  const of = (band: AgeBand) => dose((most) => Math.max(1, Math.round(most * shares[band])));
  return Object.fromEntries(ageBands.map((band) => [band, of(band)])) as Record<AgeBand, Dose>;
}

const timed: Beginning['doses'] = byAge(() => ({ kind: 'timed', rounds: 2, workS: 20, restS: 20 }));

export const beginnings: Readonly<Record<Measure, Beginning>> = {
  row: { doses: byAge((of) => ({ kind: 'row', target: of(20), capS: 120 })), mark: 20 },
  count: { doses: timed, mark: 15 },
  'weakest part': {
    doses: byAge(() => ({
      kind: 'routine',
      rounds: 1,
      changeS: 5,
      counted: true,
      parts: [{ name: 'First part', partS: 20, sides: 1 }],
    })),
    mark: 10,
  },
  reps: { doses: byAge((of) => ({ kind: 'reps', sets: 2, reps: of(8), sides: 1, restS: 20 })), mark: 14 },
  points: {
    doses: byAge(() => ({ kind: 'shots', shots: 10, ballsAtHand: 10, collectS: 20 })),
    mark: 12,
    zones: [
      { label: 'In the target', points: 2 },
      { label: 'Near it', points: 1 },
      { label: 'Elsewhere', points: 0 },
    ],
  },
  laps: { doses: timed, mark: 4 },
  hold: { doses: byAge((of) => ({ kind: 'hold', holds: 2, holdS: of(20), sides: 1, restS: 15 })), mark: 20 },
  grade: {
    doses: byAge((of) => ({ kind: 'reps', sets: 1, reps: of(10), sides: 1, restS: 0 })),
    mark: 12,
    zones: [
      { label: 'As it should be', points: 2 },
      { label: 'Nearly', points: 1 },
      { label: 'Not yet', points: 0 },
    ],
  },
  lap: { doses: byAge(() => ({ kind: 'course', rounds: 2, laps: 2, restS: 20 })), mark: 15 },
  steadiness: { doses: timed, mark: 8 },
};
