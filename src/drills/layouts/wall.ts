import { tableSize } from '@/core/ballistics/surfaces';
import { bare, helper, lineAcross, marker, player, spot, square, wallLane } from '@/core/movement/shapes';
import type { Layouts, MakeLayout } from './kit';

/** A line to stand at as far from the wall as the step has it, and the mark on the wall it has. */
const atTheWall =
  (usualM: number): MakeLayout =>
  (room, { rally }) =>
    wallLane(room, Math.min(rally?.distanceM ?? usualM, room.depthM - 0.3), {
      wallMarkM: rally?.markM ?? null,
    });

/** The end of a table, or a line as wide as one, and where one stands behind it. */
const tableEnd =
  (behindM: number): MakeLayout =>
  (room) =>
    bare(room, {
      lines: [lineAcross(0.3, tableSize.widthM, 'Table’s end')],
      marks: [player(0, 0.3 + behindM)],
    });

/** A whole table along the room, who feeds at the side of its far half, and where balls are met. */
const table =
  (places: boolean, feeder: boolean): MakeLayout =>
  (room) => {
    const far = 0.4;
    const near = far + tableSize.lengthM;
    return bare(room, {
      lines: [square(0, far + tableSize.lengthM / 2, tableSize.widthM, 'Table', tableSize.lengthM)],
      marks: [
        ...(feeder ? [helper(tableSize.widthM / 2 + 0.5, far + 0.6, 'Feeder')] : []),
        ...(places
          ? [marker(-0.55, near + 0.7, 'Left corner'), marker(0.55, near + 0.7, 'Right corner')]
          : []),
        player(0, near + 0.7),
      ],
    });
  };

/** What lies on the floor at the wall, at the table and for strokes with a ball. */
export const wallLayouts: Layouts = {
  'wall-throw-and-catch': atTheWall(2.5),
  'hand-wall-rally': atTheWall(2),
  'racket-wall-rally': atTheWall(3),
  'wall-volleys': atTheWall(2.5),
  'hitting-down-rally': atTheWall(3),
  'wall-groundstrokes': atTheWall(5),
  'serve-at-the-wall': atTheWall(6),
  'table-and-wall': (room, step) => {
    const lengthways = step.id === 'table-lengthways';
    const gapM = step.id === 'move-the-table' ? 0.5 : 0;
    // Half a table; moved along or away it is turned, or stands off the wall.
    const [wide, deep] = lengthways
      ? [tableSize.widthM, tableSize.lengthM / 2]
      : [tableSize.lengthM / 2, tableSize.widthM];
    if (['roll-and-tap', 'wall-then-floor'].includes(step.id)) return wallLane(room, 1.2);
    return bare(room, {
      lines: [square(0, gapM + deep / 2, wide, 'Half a table', deep)],
      marks: [player(0, gapM + deep + 0.6)],
    });
  },
  'table-tennis-forehand-counter': tableEnd(0.7),
  'table-tennis-forehand-loop': tableEnd(1.2),
  'table-tennis-push': tableEnd(0.4),
  'table-tennis-backhand': tableEnd(0.6),
  'table-tennis-many-ball': table(true, true),
  'table-tennis-machine-ball': table(false, false),
  'off-the-marker-hit': (room, _, { age }) => {
    const [away, sideM] = [age >= 10 ? 6 : 3, 2];
    const square2 = square(0, 1 + sideM / 2 - 0.5, sideM, 'Square');
    const middle = 1 + sideM / 2 - 0.5;
    return bare(room, {
      lines: [square2],
      marks: [marker(0, middle + away, 'Raised marker'), player(0, middle + away + 0.6)],
    });
  },
  'receive-and-send': (room) => bare(room, { marks: [spot(0, 1, 'Helper'), spot(0, 5, 'Player')] }),
  'fed-strokes': (room) =>
    bare(room, {
      marks: [
        helper(0, 0.8, 'Feeder'),
        ...[-1.6, 0, 1.6].map((x, n) => marker(x, room.depthM - 1.5, `Start ${n + 1}`)),
      ],
    }),
};
