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
import type { Point } from '@/core/geometry/points';
import type { Layout, Leg } from '@/core/movement/layout';
import type { Manner } from '@/core/movement/pace';
import type { Room } from '@/core/movement/shapes';
import { byStep, type Layouts, type MakeLayout } from './kit';

/**
 * Markers in a row, and the way along them: round them there on one side and back on the other, or straight home.
 * @param ways whether it weaves there, and home
 */
function alongMarkers(
  room: Room,
  { count, apartM, roundM }: { readonly count: number; readonly apartM: number; readonly roundM: number },
  manner: Manner,
  ways: readonly [weavesThere: boolean, weavesHome: boolean],
): Layout {
  const first = (room.depthM - (count - 1) * apartM) / 2;
  const ys = Array.from({ length: count }, (_, n) => first + n * apartM).reverse();
  const [start, end] = [at(0, ys[0]! + roundM), at(0, ys.at(-1)! - roundM)];
  const sides = ys.map((y, n) => at(n % 2 === 0 ? roundM : -roundM, y));
  const back = sides.map(({ x, y }) => at(-x, y)).reverse();
  const leg = (points: readonly Point[], weaves: boolean) =>
    way(points, manner, weaves ? { roundM } : {}).legs.map((one, n, all) =>
      // The ends are turned at.
      n === all.length - 1 ? { to: one.to, manner } : one,
    );
  return row(room, count, apartM, {
    course: {
      from: start,
      legs: [
        ...leg([start, ...(ways[0] ? sides : []), end], ways[0]),
        ...leg([end, ...(ways[1] ? back : []), start], ways[1]),
      ],
    },
  });
}

/** From one end to the other and back, with a metre behind both to stop in. */
const thereAndBack = (room: Room, manner: Manner, more: Pick<Leg, 'blind'> = {}): Layout => {
  const [near, far] = [1, room.depthM - 1];
  return bare(room, {
    marks: [marker(0, far, 'Start'), marker(0, near, 'Turn')],
    course: way([at(0, far), at(0, near), at(0, far)], manner, more),
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
  carry: (room, step) =>
    ['weave', 'rim-free'].includes(step.id)
      ? alongMarkers(room, { count: 4, apartM: 1.2, roundM: 0.4 }, 'walk', [true, true])
      : thereAndBack(
          room,
          step.id === 'jog' ? 'jog' : 'walk',
          step.id === 'backwards' ? { blind: true } : {},
        ),
  'ground-steer': (room, step) =>
    alongMarkers(
      room,
      { count: 5, apartM: 1, roundM: 0.35 },
      step.id === 'running' ? 'jog' : 'walk',
      byStep<readonly [boolean, boolean]>([true, true], {
        straight: [false, false],
        'round-the-markers': [true, false],
      })(step),
    ),
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
