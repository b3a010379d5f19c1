import { clockAt, isQuiet } from '../../venues/place';
import { warning, type CareInput, type Warning } from '../care';

/** A drill that needs more height than there is gets a warning with the two heights. */
export function clearCeiling({ work, place }: CareInput): Warning[] {
  if (!place || place.ceilingM === null) return [];
  const { ceilingM, name } = place;
  return work
    .filter((one) => one.ceilingM > ceilingM)
    .map((one) =>
      warning(
        'ceiling',
        'stop',
        `${one.title} needs ${one.ceilingM} m of clear height; ${name} has ${ceilingM} m.`,
        {
          blockId: one.id,
          mend: { kind: 'remove', blockId: one.id },
          mendText: `Take ${one.title} out`,
        },
      ),
    );
}

/** A wall may be hit only where there is one that may, and outside the quiet hours. */
export function wallMayBeHit({ work, place, startTime }: CareInput): Warning[] {
  if (!place) return [];
  return work
    .filter((one) => one.wall)
    .flatMap((one) => {
      const mend = {
        blockId: one.id,
        mend: { kind: 'remove', blockId: one.id } as const,
        mendText: `Take ${one.title} out`,
      };
      if (place.wallM === 0)
        return [
          warning('wall', 'stop', `${one.title} hits a wall, and no wall at ${place.name} may be hit.`, mend),
        ];
      if (!isQuiet(place, clockAt(startTime, one.startS))) return [];
      return [
        warning(
          'quiet hours',
          'caution',
          `${one.title} hits the wall inside the quiet hours of ${place.name} (${place.quietFrom} to ${place.quietTo}).`,
          { ...mend, origin: 'practice' },
        ),
      ];
    });
}

/** Nobody works inside another's lane: when more work at once than the place holds, they take turns. */
export function ownLanes({ work, place }: CareInput): Warning[] {
  if (!place) return [];
  return work
    .filter((one) => one.roomFor !== null && one.roomFor > 0 && one.roomFor < one.atOnce)
    .map((one) =>
      warning(
        'own lanes',
        'note',
        `${one.title}: lanes of ${one.lane.lengthM} x ${one.lane.widthM} m fit ${one.roomFor} times at ${place.name}, so ${one.atOnce} take turns.`,
        { blockId: one.id },
      ),
    );
}

/** Backwards and sprinting: look at the floor of this place first. */
export function clearFloor({ work, place }: CareInput): Warning[] {
  if (!place) return [];
  const risky = place.hazards.filter(
    (hazard) => hazard !== 'windows or lamps in reach' && hazard !== 'passers-by',
  );
  return work
    .filter((one) => one.moves.includes('backwards') || one.moves.includes('sprint'))
    .filter(() => risky.length > 0)
    .map((one) =>
      warning(
        'clear floor',
        one.moves.includes('backwards') ? 'caution' : 'note',
        `${one.title} goes ${one.moves.includes('backwards') ? 'backwards' : 'fast'}, and ${place.name} has ${risky.join(', ')}: walk the way once before it starts.`,
        { blockId: one.id, origin: 'practice' },
      ),
    );
}

/** Balls in the air where something can break. */
export function nothingBreakable({ work, place }: CareInput): Warning[] {
  if (!place?.hazards.includes('windows or lamps in reach')) return [];
  const first = work.find((one) => one.hitting);
  if (!first) return [];
  return [
    warning(
      'nothing breakable',
      'note',
      `${place.name} has windows or lamps in reach: foam balls from ${first.title} on.`,
      {
        blockId: first.id,
        origin: 'practice',
      },
    ),
  ];
}
