import { distance } from '../geometry/points';
import type { Layout } from './layout';

/** A way may become so much longer before it is another way: a twentieth. Ours. */
const wayShare = 0.05;
/** A target may lie off by so much of its size before it is another target: a fifth. Ours. */
const targetShare = 0.2;
/** A hand's breadth: no drill minds it, and nobody tapes better. Ours. */
export const handM = 0.1;

/** How far a mark may lie off before the drill changes, metres; never less than a hand, null where nothing is taped. */
export function toleranceOf({ marks, lines, rings, course }: Layout): number | null {
  const taped = marks.filter(({ kind }) => kind === 'marker' || kind === 'spot');
  if (taped.length + lines.length + rings.length === 0) return null;
  // A mark that is off makes two legs longer or shorter, by as much each at worst.
  const legs = course
    ? course.legs.map(({ to }, n) => distance(n === 0 ? course.from : course.legs[n - 1]!.to, to))
    : [];
  const lapM = legs.reduce((sum, leg) => sum + leg, 0);
  const sizes = [
    ...rings.map(({ radiusM }) => 2 * radiusM),
    ...lines.filter(({ closed }) => closed).map(({ points }) => distance(points[0]!, points[1]!)),
  ];
  const limits = [
    ...(lapM > 0 ? [(wayShare * lapM) / 2] : []),
    ...(sizes.length > 0 ? [targetShare * Math.min(...sizes)] : []),
  ];
  return limits.length === 0 ? handM : Math.max(handM, Math.min(...limits));
}
