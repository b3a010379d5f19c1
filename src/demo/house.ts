import type { KitForm, PlaceForm } from '@/schemas/place';
import type { SequenceForm } from '@/schemas/sequence';
import type { FeederForm } from '@/schemas/setting';
import type { SchoolForm } from '@/schemas/school';
import { coaches } from './people';

/* Where the invented group trains, and with what: a long former rope works by a harbour that is on no map. */

export const places: readonly PlaceForm[] = [
  {
    name: 'Rope hall',
    lengthM: 24,
    widthM: 7,
    ceilingM: 4.2,
    surface: 'wood',
    wallM: 9,
    wallSide: 'long',
    things: [
      { kind: 'pillar', xM: 11.8, yM: 6.5, widthM: 0.4, depthM: 0.4 },
      { kind: 'bench', xM: 21.5, yM: 0, widthM: 2, depthM: 0.45 },
      { kind: 'bottles', xM: 23.4, yM: 6.4, widthM: 0.6, depthM: 0.6 },
    ],
    tables: 2,
    hazards: ['pillars or furniture'],
    quietFrom: '20:00',
    quietTo: '07:00',
  },
  {
    name: 'Slipway yard',
    lengthM: 18,
    widthM: 12,
    ceilingM: null,
    surface: 'rough concrete',
    wallM: 9,
    wallSide: null,
    things: [],
    tables: 0,
    hazards: ['slippery when wet', 'uneven ground', 'traffic or water near'],
    quietFrom: '13:00',
    quietTo: '15:00',
  },
  {
    name: 'Living room at home',
    lengthM: 4,
    widthM: 3.5,
    ceilingM: 2.4,
    surface: 'carpet',
    wallM: 0,
    wallSide: null,
    things: [],
    tables: 0,
    hazards: ['windows or lamps in reach', 'pillars or furniture'],
    quietFrom: null,
    quietTo: null,
  },
];

export const kit: KitForm = {
  ball: 40,
  'foam ball': 12,
  'large soft ball': 3,
  'table tennis ball': 60,
  balloon: 6,
  beanbag: 8,
  racket: 9,
  'table tennis bat': 6,
  marker: 16,
  ladder: 1,
  hoop: 4,
  'hoop on a stand': 1,
  chalk: 10,
  tape: 2,
  sticker: 40,
  'light stretch band': 6,
  'resistance band': 1,
  'folding table': 2,
};

export const schools: readonly SchoolForm[] = [
  { scope: 'coach', key: coaches['table tennis'], question: 'stretch', answer: '15 s' },
  { scope: 'coach', key: coaches.tennis, question: 'takeBack', answer: 'looped' },
];

/** Shadow sequences the coaches keep. */
export const sequences: readonly SequenceForm[] = [
  {
    name: 'Corner, pivot, wide',
    sport: 'table tennis',
    ground: 'table',
    line: 'bh corner, fh pivot loop, fh wide loop backspin, bh corner',
  },
  {
    name: 'Short and deep',
    sport: 'table tennis',
    ground: 'table',
    line: 'fh in push, bh in push, fh out loop',
  },
  {
    name: 'Wide and home',
    sport: 'tennis',
    ground: 'chalk',
    line: 'fh wide, bh corner, fh corner in stay, bh corner net volley',
  },
];

export const feeders: readonly FeederForm[] = [
  {
    name: 'High and deep',
    drillId: 'retreat-for-the-high-ball',
    settings: {
      machine: {
        ball: 'green',
        speedMps: 12.4,
        elevationDeg: 47,
        spinPerMin: 0,
        sideDeg: 0,
        intervalS: 6,
        scatterPercent: 3,
        scatterDeg: 1.5,
      },
      place: { mouthM: 1, playerM: 9, court: 'red' },
    },
  },
];

/** What the coach wrote about the sessions of the last week. */
export const written = {
  answers: { 'went well': 'quiet feet', 'was hard': 'the far lane', 'next time': 'start with the rope' },
  onBlock: 'Set the cones out before they come: it took too long.',
  onPlayer: 'Asked for the longer racket. Look at the grip first.',
} as const;

/** One plan is kept as a pattern, under this name. */
export const keptAsPattern = { of: 'Hands and strokes', title: 'Strokes on a dry day' } as const;

/** Challenges that are on: for one sport, or for everybody. */
export const challenges = [
  {
    title: 'Marker week',
    kind: 'level',
    sport: 'tennis',
    drillId: 'marker-touches',
    stepId: 'called',
    rules: 'Markers two steps apart for the small ones, three for the others.',
    attempts: 6,
  },
  {
    title: 'Into the rings, together',
    kind: 'together',
    sport: null,
    drillId: 'ring-target',
    stepId: 'fed-forehand',
    rules: 'First bounce counts.',
    goal: 120,
  },
] as const;
