import { floorsOf } from './on-floor';
import type { FloorThing, Place } from './place';

/** What is wrong with where a thing stands; null where it stands inside the place. */
export function thingProblem(
  { kind, xM, yM, widthM, depthM }: FloorThing,
  place: Pick<Place, 'lengthM' | 'widthM' | 'wallSide'>,
): string | null {
  const { alongM, deepM } = floorsOf(place)[0]!;
  const far = [
    [xM + widthM, alongM, 'along'],
    [yM + depthM, deepM, 'out from the wall'],
  ] as const;
  for (const [end, side, way] of far)
    if (end > side + 1e-9)
      return `The ${kind} ends ${round(end)} m ${way}, and the place is ${round(side)} m there: move it, or make it smaller.`;
  return null;
}

/** A thing moved by so much, kept inside the floor, to the centimetre. */
export function movedThing(
  thing: FloorThing,
  byX: number,
  byY: number,
  place: Pick<Place, 'lengthM' | 'widthM' | 'wallSide'>,
): FloorThing {
  const { alongM, deepM } = floorsOf(place)[0]!;
  const kept = (value: number, most: number) => Math.min(Math.max(0, round(value)), Math.max(0, round(most)));
  return {
    ...thing,
    xM: kept(thing.xM + byX, alongM - thing.widthM),
    yM: kept(thing.yM + byY, deepM - thing.depthM),
  };
}

const round = (metres: number): number => Math.round(metres * 100) / 100;
