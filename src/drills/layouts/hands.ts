import {
  at,
  bare,
  facing,
  helper,
  lane,
  lineAcross,
  marker,
  player,
  ring,
  row,
  spot,
  square,
  way,
} from '@/core/movement/shapes';
import type { Layout } from '@/core/movement/layout';
import type { Room } from '@/core/movement/shapes';
import type { Layouts, MakeLayout } from './kit';

/** Round markers in a row, there on one side and back on the other: the corners that are really walked. */
function weave(room: Room, count: number, apartM: number, roundM: number): Layout {
  const first = (room.depthM - (count - 1) * apartM) / 2;
  const ys = Array.from({ length: count }, (_, n) => first + n * apartM).reverse();
  const sides = ys.map((y, n) => at(n % 2 === 0 ? roundM : -roundM, y));
  const end = at(0, ys.at(-1)! - roundM);
  const start = at(0, ys[0]! + roundM);
  return row(room, count, apartM, {
    course: way([start, ...sides, end, ...sides.map(({ x, y }) => at(-x, y)).reverse(), start], 'walk'),
  });
}

/** From one end of the room to the other and back. */
const thereAndBack: MakeLayout = (room) => {
  const [near, far] = [0, room.depthM];
  return bare(room, {
    marks: [marker(0, far, 'Start'), marker(0, near, 'Turn')],
    course: way([at(0, far), at(0, near), at(0, far)], 'walk'),
  });
};

/** A square to lob into, from the child’s own distance. */
const lobSquare: MakeLayout = (room, step, { targetM, strideM }) => {
  const away = targetM + (step.id === 'from-three-metres' ? strideM * 1.5 : 0);
  return lane(room, away, { lines: [square(0, room.depthM - 0.5 - away, 1, 'Square')] });
};

/** What lies on the floor for hands and touch, and for the base of the serve. */
export const handLayouts: Layouts = {
  'colour-call': (room) => bare(room, { marks: [helper(0, 0.8), spot(0, 2.8, 'Home')] }),
  'bounce-pass-catch': (room) => facing(room, 3),
  carry: (room, step, child) =>
    ['weave', 'rim-free'].includes(step.id) ? weave(room, 4, 1.2, 0.4) : thereAndBack(room, step, child),
  'ground-steer': (room) => weave(room, 5, 1, 0.35),
  'gate-roll': (room) =>
    facing(room, 4, {
      marks: [marker(-0.5, room.depthM / 2, 'Gate, left'), marker(0.5, room.depthM / 2, 'Gate, right')],
    }),
  'bump-with-a-bounce': (room) =>
    bare(room, {
      rings: [ring(0, room.depthM / 2 - 0.3, 0.4, 'Hoop')],
      marks: [player(0, room.depthM / 2 + 0.5)],
    }),
  'flip-to-a-target': lobSquare,
  'toss-to-height': (room) =>
    bare(room, {
      rings: [ring(0, room.depthM / 2 - 0.3, 0.5, 'Ring')],
      marks: [player(0, room.depthM / 2 + 0.3)],
    }),
  'throwing-serve': (room, step) =>
    bare(room, {
      marks: [spot(0, room.depthM - 0.7, 'Throw from')],
      lines: step.id === 'into-the-box' ? [square(0, 1.7, 2.4, 'Box')] : [],
    }),
  'spin-on-the-floor': (room) =>
    bare(room, {
      lines: [
        lineAcross(3.2, 1, 'Line'),
        lineAcross(2.7, 1, 'Half a metre'),
        lineAcross(2.2, 1, 'One metre'),
      ],
      marks: [player(0, 3.5)],
    }),
};
