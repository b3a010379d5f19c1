import type { PlayerForm } from '@/schemas/player';

/*
 * The demo: Quayside Ropewalk Juniors, an invented after-school group in a long former rope works.
 * Every name and number here is made up.
 */

export const coaches = { tennis: 'Ottilie Ferrow', 'table tennis': 'Dag Penhollow' } as const;

/** How an invented player learns and behaves. */
export interface Character {
  readonly form: Omit<PlayerForm, 'birthYear'> & { readonly age: number };
  /** How quickly drops get fewer: 1 is usual. */
  readonly pace: number;
  /** How many drops there are to begin with: 1 is usual. */
  readonly drops: number;
  /** Weeks (from 0) in which nothing improves. */
  readonly plateau?: readonly [from: number, to: number];
  /** Weeks away. */
  readonly away?: readonly number[];
  /** `double`: counts some touches twice; `deaf`: lets drops pass. */
  readonly fudges?: 'double' | 'deaf';
  /** Drills that count towards their focus. */
  readonly counts?: readonly string[];
  /** Drills this player sits out. */
  readonly spares?: readonly string[];
}

const sickWeek = 5;

export const squad: readonly Character[] = [
  {
    form: {
      name: 'Pia Tarnbell',
      age: 5,
      sport: 'tennis',
      hand: 'right',
      stage: 'red',
      heightCm: 109,
      racketIn: 19,
      careNote: '',
      focus: 'Soft hands: catch with the ball, not against it',
    },
    counts: ['soft-catch', 'clap-and-catch'],
    pace: 0.7,
    drops: 1.5,
    away: [sickWeek],
  },
  {
    form: {
      name: 'Corin Oakhaven',
      age: 7,
      sport: 'tennis',
      hand: 'right',
      stage: 'red',
      heightCm: 122,
      racketIn: 21,
      careNote: '',
      focus: 'Bounce at belt height with still feet',
    },
    counts: ['palm-up-bounce', 'turn-over-bounce'],
    pace: 1,
    drops: 1.1,
    fudges: 'double',
  },
  {
    form: {
      name: 'Nessa Quillby',
      age: 9,
      sport: 'tennis',
      hand: 'left',
      stage: 'orange',
      heightCm: 134,
      racketIn: 25,
      careNote: '',
      focus: 'Arching flight at the wall, side-on',
    },
    counts: ['racket-wall-rally', 'shadow-forehand'],
    pace: 1.2,
    drops: 0.9,
    plateau: [3, 7],
  },
  {
    form: {
      name: 'Juno Saltgarth',
      age: 11,
      sport: 'tennis',
      hand: 'right',
      stage: 'green',
      heightCm: 146,
      racketIn: 26,
      careNote: '',
      focus: 'Split step on every return to the middle',
    },
    pace: 1,
    drops: 0.8,
    away: [sickWeek],
  },
  {
    form: {
      name: 'Bram Ellerwick',
      age: 12,
      sport: 'tennis',
      hand: 'right',
      stage: 'green',
      heightCm: 151,
      racketIn: 26,
      careNote: 'Right wrist is healing: easy on fast hands, stop at any pain, ask before serving.',
      focus: 'Quiet elbow in the forearm series',
    },
    spares: ['fast-hand', 'throwing-serve'],
    pace: 0.9,
    drops: 1,
  },
  {
    form: {
      name: 'Teo Windlestraw',
      age: 14,
      sport: 'tennis',
      hand: 'right',
      stage: 'yellow',
      heightCm: 168,
      racketIn: 27,
      careNote: '',
      focus: 'Finish the forehand over the shoulder',
    },
    pace: 0.8,
    drops: 0.8,
    fudges: 'deaf',
  },
  {
    form: {
      name: 'Ravi Thornmere',
      age: 10,
      sport: 'table tennis',
      hand: 'right',
      stage: null,
      heightCm: 139,
      racketIn: null,
      careNote: '',
      focus: 'Both feet move, then the stroke',
    },
    pace: 1.1,
    drops: 1,
    away: [sickWeek],
  },
  {
    form: {
      name: 'Ilse Copperby',
      age: 13,
      sport: 'table tennis',
      hand: 'left',
      stage: null,
      heightCm: 160,
      racketIn: null,
      careNote: '',
      focus: 'Short touch against the wall',
    },
    counts: ['table-and-wall'],
    pace: 1,
    drops: 0.8,
    plateau: [5, 8],
  },
  {
    form: {
      name: 'Maren Drystone',
      age: 15,
      sport: 'table tennis',
      hand: 'right',
      stage: null,
      heightCm: 166,
      racketIn: null,
      careNote: '',
      focus: 'Thin brush on the spin serve',
    },
    pace: 1.3,
    drops: 0.6,
  },
];

/** A weekly session of a group: what it is made of, and when. */
export interface Weekly {
  readonly title: string;
  readonly sport: 'tennis' | 'table tennis';
  /** The weekday (0 is Sunday) where the demo is looked at on a Tuesday; on other days it is turned along (week.ts). */
  readonly weekday: number;
  readonly startTime: string;
  readonly bookedMin: number;
  /** A place of the house by name. */
  readonly place: string;
  readonly drills: readonly string[];
  /** After which drill (from 0) there is a drink. */
  readonly drinkAfter: number;
}

export const timetable: readonly Weekly[] = [
  {
    title: 'Wall and feet',
    sport: 'tennis',
    weekday: 2,
    startTime: '16:30',
    bookedMin: 30,
    place: 'Rope hall',
    drills: [
      'shoulder-and-side',
      'wrist-and-forearm',
      'marker-touches',
      'clap-and-catch',
      'palm-up-bounce',
      'racket-wall-rally',
      'shadow-forehand',
      'ring-target',
    ],
    drinkAfter: 4,
  },
  {
    title: 'Hands and strokes',
    sport: 'tennis',
    weekday: 4,
    startTime: '16:30',
    bookedMin: 30,
    place: 'Slipway yard',
    drills: [
      'wrist-and-forearm',
      'square-shuffle',
      'clap-and-catch',
      'turn-over-bounce',
      'soft-catch',
      'racket-wall-rally',
      'toss-to-height',
      'ring-target',
    ],
    drinkAfter: 4,
  },
  {
    title: 'Table and wall',
    sport: 'table tennis',
    weekday: 2,
    startTime: '17:45',
    bookedMin: 25,
    place: 'Rope hall',
    drills: [
      'wrist-and-forearm',
      'three-side-steps',
      'palm-up-bounce',
      'turn-over-bounce',
      'table-and-wall',
      'spin-on-the-floor',
    ],
    drinkAfter: 3,
  },
  {
    title: 'Feet and counter',
    sport: 'table tennis',
    weekday: 6,
    startTime: '10:00',
    bookedMin: 25,
    place: 'Rope hall',
    drills: [
      'wrist-and-forearm',
      'triangle-run',
      'shadow-patterns',
      'turn-over-bounce',
      'table-tennis-forehand-counter',
      'ring-target',
    ],
    drinkAfter: 2,
  },
];
