import type { Rectangle } from '../geometry/pack';

/** What a drill needs of the ground it is done on. */
export const surfaces = ['wood', 'concrete', 'rough concrete', 'court', 'carpet', 'grass'] as const;
export type Surface = (typeof surfaces)[number];

const hard: ReadonlySet<Surface> = new Set(['wood', 'concrete', 'rough concrete', 'court']);
/** Does a ball bounce here? */
export const isHard = (surface: Surface): boolean => hard.has(surface);

export const hazards = [
  'windows or lamps in reach',
  'pillars or furniture',
  'slippery when wet',
  'uneven ground',
  'traffic or water near',
  'passers-by',
] as const;
export type Hazard = (typeof hazards)[number];

/** What stands or lies in a place, and takes floor. */
export const thingKinds = ['pillar', 'door', 'table', 'bench', 'slippery', 'keep clear', 'bottles'] as const;
export type ThingKind = (typeof thingKinds)[number];

/**
 * Something on the floor: metres from the corner where the wall begins, along that side and away from it. Where nobody said
 * along which side the wall is, that side is the long one.
 */
export interface FloorThing {
  readonly kind: ThingKind;
  readonly xM: number;
  readonly yM: number;
  readonly widthM: number;
  readonly depthM: number;
}

/** The floor a thing takes. */
export const thingRoom = ({ xM, yM, widthM, depthM }: FloorThing): Rectangle => ({
  x: xM,
  y: yM,
  width: widthM,
  height: depthM,
});

/** A place to train in, as a coach describes it. Lengths in metres. */
export interface Place {
  readonly name: string;
  readonly lengthM: number;
  readonly widthM: number;
  /** Clear height under the lowest beam; null under the sky. */
  readonly ceilingM: number | null;
  readonly surface: Surface;
  /** Length of wall that may be hit; 0 when there is none. */
  readonly wallM: number;
  /** The side that wall is along; left out or null where nobody said. */
  readonly wallSide?: 'long' | 'short' | null;
  /** What takes floor; left out where nobody drew it. */
  readonly things?: readonly FloorThing[];
  readonly tables: number;
  readonly hazards: readonly Hazard[];
  /** Hours in which no wall may be hit, local "HH:MM"; null when there are none. */
  readonly quietFrom: string | null;
  readonly quietTo: string | null;
}

/** Is a local time inside the quiet hours? They may run past midnight. */
export function isQuiet(place: Place, time: string): boolean {
  const { quietFrom, quietTo } = place;
  if (quietFrom === null || quietTo === null) return false;
  return quietFrom <= quietTo ? time >= quietFrom && time < quietTo : time >= quietFrom || time < quietTo;
}

/** The local time so many seconds after a local start, "HH:MM". */
export function clockAt(start: string, seconds: number): string {
  const [hours = 0, minutes = 0] = start.split(':').map(Number);
  const at = (hours * 60 + minutes + Math.floor(seconds / 60)) % (24 * 60);
  return `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
}

/** Are any of so many minutes from a local start, "HH:MM", inside the quiet hours? */
export const isQuietIn = (place: Place, start: string, minutes: number): boolean =>
  Array.from({ length: Math.max(1, Math.ceil(minutes)) }, (_, minute) => clockAt(start, 60 * minute)).some(
    (time) => isQuiet(place, time),
  );
