import { at, bare, lane, marker, ring, spot, square, wallLane, way } from '@/core/movement/shapes';
import { byStep, type Layouts } from './kit';

/** Two big steps: what a longer throw or lob is further by. Ours. */
const bigStep = 1.2;

/** What lies on the floor for games. */
export const gameLayouts: Layouts = {
  'ring-target': (room, step, { targetM, strideM }) => {
    const away = targetM + (step.id === 'long-lob' ? 2 * bigStep * strideM : 0);
    const y = room.depthM - 0.5 - away;
    return lane(room, away, {
      // The lesser rings lie round the better ones.
      rings: [ring(0, y, 0.4, 'Inner ring'), ring(0, y, 0.8, 'Middle ring'), ring(0, y, 1.2, 'Outer ring')],
    });
  },
  'square-target': (room, _, { targetM }) => {
    const y = room.depthM - 0.5 - targetM;
    return lane(room, targetM, { lines: [square(0, y, 1, 'Square'), square(0, y, 2, 'Zone round it')] });
  },
  'two-square-singles': ({ widthM, depthM }) => {
    // Side by side along the room: three metres each.
    const room = { widthM: depthM, depthM: widthM };
    const y = room.depthM / 2;
    return bare(room, {
      lines: [square(-1.5, y, 3, 'Left square'), square(1.5, y, 3, 'Right square')],
      marks: [spot(-1.5, y, 'Left player'), spot(1.5, y, 'Right player')],
    });
  },
  'longest-alternating-rally': (room, { rally }) => wallLane(room, rally?.distanceM ?? 3),
  'most-passes-through-gates': ({ widthM, depthM }) => {
    const room = { widthM: depthM, depthM: widthM };
    const y = room.depthM / 2;
    // A metre wide, their middles two metres apart.
    const gates = [-3, -1, 1, 3];
    return bare(room, {
      marks: gates.flatMap((x, n) => [
        marker(x - 0.5, y, `Gate ${n + 1}, left`),
        marker(x + 0.5, y, `Gate ${n + 1}, right`),
      ]),
    });
  },
  'most-laps': (room, step) => {
    const [halfW, halfD] = [(room.widthM - 1) / 2, (room.depthM - 1) / 2];
    const y = room.depthM / 2;
    const corners = [
      at(halfW, y + halfD),
      at(halfW, y - halfD),
      at(-halfW, y - halfD),
      at(-halfW, y + halfD),
    ];
    return bare(room, {
      marks: corners.map(({ x, y: up }, n) => marker(x, up, `Corner ${n + 1}`)),
      course: way([...corners, corners[0]!], byStep<'run' | 'jog'>('jog', { 'free-hands': 'run' })(step), {
        roundM: 0.5,
      }),
    });
  },
};
