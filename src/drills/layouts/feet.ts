import { tableSize } from '@/core/ballistics/surfaces';
import {
  at,
  bare,
  eight,
  helper,
  ladder,
  lineAcross,
  marker,
  pair,
  player,
  spot,
  square,
  star,
  triangle,
  wallLane,
  way,
} from '@/core/movement/shapes';
import { byStep, type Layouts, type MakeLayout } from './kit';

/** Socks a foot’s length apart, in front of the feet. */
const socks: MakeLayout = (room, step) => {
  const y = room.depthM / 2 - 0.3;
  const two = step.id !== 'one-marker';
  return bare(room, {
    marks: [
      ...(two ? [marker(-0.12, y, 'Left'), marker(0.12, y, 'Right')] : [marker(0, y)]),
      player(0, y + 0.35),
    ],
  });
};

/** A chalk line to hop over, as long as two feet side by side. */
const hopLine: MakeLayout = (room) =>
  bare(room, {
    lines: [lineAcross(room.depthM / 2, 1, 'Line')],
    marks: [player(0, room.depthM / 2 + 0.3)],
  });

/** A cross for the ball that is not there, and the start behind it. */
const spacing: MakeLayout = (room, _, { strideM }) => {
  const y = 1.4;
  return bare(room, {
    marks: [spot(0, y, 'Ball'), player(0, y + 0.6 + strideM)],
  });
};

/** A line as wide as a table, with its corners, and a start an arm and a bat behind it. */
const tableLine: MakeLayout = (room) => {
  const y = 0.4;
  const back = y + 0.75;
  return bare(room, {
    lines: [lineAcross(y, tableSize.widthM, 'Table’s end')],
    marks: [spot(-0.55, back, 'Left corner'), spot(0, back, 'Middle'), spot(0.55, back, 'Right corner')],
    course: way([at(0.55, back), at(0, back), at(0.55, back)], 'side step'),
  });
};

/** What lies on the floor for the feet, and for loosening up. */
export const feetLayouts: Layouts = {
  'line-hops': hopLine,
  'growing-hops': (room, step) =>
    bare(room, {
      lines: (step.id === 'three-lines' ? [1.2, 2.2, 3.2] : [1.2, 2.2]).map((y, n) =>
        lineAcross(y, 1, `Line ${n + 1}`),
      ),
      marks: [player(0, room.depthM - 0.3)],
    }),
  // Eight squares of half a metre: four metres, and half a metre to turn at each end. They lie along its length.
  'square-shuffle': ({ widthM, depthM }, step) =>
    ladder(
      { widthM: depthM, depthM: widthM },
      8,
      0.5,
      step.id === 'for-time' ? null : step.id === 'two-in-one-out' ? 3 : 2,
    ),
  // Each along a line of four metres, a metre and a half apart.
  mirror: ({ widthM, depthM }) =>
    bare(
      { widthM: depthM, depthM: widthM },
      {
        lines: [lineAcross(0.75, 4, 'First line'), lineAcross(2.25, 4, 'Second line')],
        marks: [player(0, 0.75, 'First player'), player(0, 2.25, 'Second player')],
      },
    ),
  // A third of a metre a gap: so twelve rungs, with two metres for a swing at both ends, lie in eight metres. Ours.
  'ladder-with-a-swing': ({ widthM, depthM }, step) =>
    ladder({ widthM: depthM, depthM: widthM }, step.id === 'longer-ladder' ? 12 : 8, 1 / 3, 2),
  'marker-touches': (room, step) => pair(room, byStep(3.5, { narrow: 2, called: 3.5 })(step), 'side step'),
  // An arm and a bend of the knees: so far in front of the feet a ball on the floor is touched. Ours.
  'star-of-four': (room) => star(room, 2, 0.5),
  'marker-taps': socks,
  'sock-taps-in-one-go': socks,
  'figure-of-eight': (room) => eight(room, 0.5, 0.35, 'side step'),
  'triangle-run': (room, step) =>
    triangle(room, 3, step.id === 'walk-the-triangle' ? ['jog', 'walk', 'side step'] : undefined),
  'push-and-side-step': (room, _, { strideM, sideStepM }) =>
    wallLane(room, 2 * strideM, {
      lines: [],
      marks: [
        marker(0, 2 * strideM, 'Bottle'),
        spot(-sideStepM, 2 * strideM, 'Left'),
        spot(sideStepM, 2 * strideM, 'Right'),
        player(0, 2 * strideM + 0.3),
      ],
    }),
  'three-side-steps': (room, _, { sideStepM }) => {
    const y = 1.3;
    return bare(room, {
      lines: [lineAcross(0.4, tableSize.widthM, 'Table’s end')],
      marks: [spot(0, y, 'Start'), player(0, y)],
      course: way([at(0, y), at(sideStepM, y), at(0, y), at(-sideStepM, y), at(0, y)], 'side step'),
    });
  },
  'spacing-closed': spacing,
  'spacing-open': spacing,
  'spacing-round': spacing,
  'say-where-it-lands': (room, step) => {
    const [short, deep] = [3, 5];
    const four = step.id === 'how-early';
    const zones = [
      square(0, short, 3, 'Short', 2),
      square(0, deep, 3, 'Deep', 2),
      ...(four ? [{ points: [at(0, short - 1), at(0, deep + 1)], closed: false, label: 'Halves' }] : []),
    ];
    return bare(room, { lines: zones, marks: [helper(0, 0.4, 'Feeder'), player(0, room.depthM - 0.5)] });
  },
  'mark-the-spot': (room) =>
    bare(room, {
      lines: [square(0, room.depthM / 2, 3, 'Floor that counts')],
      marks: [helper(0, 0.3), player(0, room.depthM - 0.3)],
    }),
  'retreat-for-the-high-ball': (room) =>
    bare(room, { marks: [helper(0, 0.5, 'Feeder'), player(0, 4), spot(0, 8.5, 'Where it comes down')] }),
  'short-ball-approach': (room, step, { strideM }) => {
    const contact = 4;
    const steps = byStep(0, { 'one-step': 1, 'two-steps': 2 })(step);
    const start = ['from-the-baseline', 'at-an-interval'].includes(step.id)
      ? room.depthM - 0.6
      : contact + steps * 1.2 * strideM;
    return bare(room, {
      marks: [
        helper(0, 0.5, 'Feeder'),
        spot(0, contact, 'Contact'),
        ...(start > contact + 0.01 ? [spot(0, start, 'Start')] : []),
      ],
      course:
        start > contact + 0.01
          ? way([at(0, start), at(0, contact), at(0, start)], ['run', 'backwards'])
          : null,
    });
  },
  'shadow-patterns': tableLine,
  'court-patterns': (room) => {
    const [net, base] = [0.6, 4.6];
    return bare(room, {
      lines: [square(0, (net + base) / 2, 4, 'Court')],
      marks: [spot(0, base, 'Middle'), player(0, base)],
    });
  },
};
