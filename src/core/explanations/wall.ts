import { spinInWords } from '../calculators/setting-words';
import { balls } from '../ballistics/balls';
import { degrees } from '../ballistics/motion';
import { floors, walls } from '../ballistics/surfaces';
import type { WallMend } from '../ballistics/wall/advise';
import type { Forgiveness } from '../ballistics/wall/forgive';
import type { PaceChange } from '../ballistics/wall/pace-change';
import type { WallSetup } from '../ballistics/wall/setup';
import type { WallAnswer, WallSolution } from '../ballistics/wall/solve';
import type { WallSpread } from '../ballistics/wall/spread';
import type { ExplainedInput, Explanation } from '../base/explain';
import { originInWords } from '../base/origin';
import { percent } from '../base/words';

/** A length to the decimetre where it is a distance on the ground, with as few digits as it has. */
export const inMetres = (metres: number, digits = 2): string => `${Number(metres.toFixed(digits))} m`;

/** What to do, in one sentence. */
export function wallSentence(
  { distanceM, targetM, spinRps = 0 }: WallSetup,
  { hitsPerMin }: WallSolution,
): string {
  const spin = spinRps === 0 ? '' : `, with ${spinInWords(spinRps)}`;
  return `Stand ${inMetres(distanceM)} from the wall, aim at the chalk line at ${inMetres(targetM)}${spin}, about ${Math.round(hitsPerMin)} hits a minute.`;
}

/** Why nothing works, and the nearest that does. */
export function wallRefusal(
  setup: WallSetup,
  answer: Extract<WallAnswer, { ok: false }>,
  mends: readonly WallMend[],
): string {
  const reached = answer.reachedM;
  const why = {
    'too low': `The ${balls[setup.ball].label}, aimed at ${inMetres(setup.targetM)}, comes up to ${inMetres(reached ?? 0)} at most where the player stands: the hand at ${inMetres(setup.contactM)} waits too high.`,
    'too fast': `From ${inMetres(setup.distanceM)} it takes a hit of ${(reached ?? 0).toFixed(1)} m/s; the limit is ${setup.topSpeedMps.toFixed(1)} m/s.`,
    ceiling: `The flight rises to ${inMetres(reached ?? 0)}: the ceiling at ${inMetres(setup.ceilingM ?? 0)} is in the way.`,
    'wall top': `The wall ends at ${inMetres(setup.wallTopM)}, below the mark at ${inMetres(setup.targetM)}.`,
    table: 'The ball does not come down on the table.',
    'no way': 'No hit that meets this mark comes back to this place.',
  }[answer.limit];
  return mends.length === 0 ? why : `${why} The nearest that works: ${mends.map(mendInWords).join(', or ')}.`;
}

export function mendInWords({ dial, value }: WallMend): string {
  return {
    distanceM: `stand at ${inMetres(value)}`,
    targetM: `aim at ${inMetres(value)}`,
    contactM: `meet it at ${inMetres(value)}`,
  }[dial];
}

const law =
  'Gravity, drag ½ρC_dA v² and the lift of the spin (C_L = 1/(2 + v/Rω)), stepped by Runge and Kutta; bounces with restitution and sliding or gripping friction. Of all hits that meet the mark, the one that comes back to the hand.';
const lawSource =
  'Any textbook of mechanics; lift: Stepanek 1988, bounce: R. Cross 2002, ball: ITF or ITTF rules, from memory.';

export const wallLaw = { formula: law, source: lawSource } as const;

function inputs(setup: WallSetup): ExplainedInput[] {
  const ball = balls[setup.ball];
  const floor = floors[setup.floor];
  const wall = walls[setup.wall];
  return [
    { label: 'Distance', value: inMetres(setup.distanceM), from: 'wall to where the ball is met' },
    { label: 'Hand', value: inMetres(setup.contactM), from: 'height of the ball’s middle' },
    { label: 'Mark', value: inMetres(setup.targetM), from: 'height on the wall' },
    { label: 'Spin', value: spinInWords(setup.spinRps ?? 0), from: 'what the hit gives the ball' },
    {
      label: ball.label,
      value: `e ${ball.restitution.value.toFixed(2)}`,
      from: `${ball.restitution.low.toFixed(2)} to ${ball.restitution.high.toFixed(2)}; ${originInWords(ball.restitution)}`,
    },
    ...(setup.shot === 'table'
      ? []
      : [
          {
            label: floor.label,
            value: `μ ${floor.friction.value.toFixed(2)}`,
            from: `${floor.friction.low.toFixed(2)} to ${floor.friction.high.toFixed(2)}; ${originInWords(floor.friction)}`,
          },
        ]),
    {
      label: wall.label,
      value: `× ${wall.liveliness.value.toFixed(2)}`,
      from: `as lively as the drop base, ${wall.liveliness.low.toFixed(2)} to ${wall.liveliness.high.toFixed(2)}; ${originInWords(wall.liveliness)}`,
    },
  ];
}

export function explainTempo(setup: WallSetup, one: WallSolution, spread: WallSpread | null): Explanation {
  return {
    title: 'Hits a minute',
    value: spread
      ? `${one.hitsPerMin.toFixed(0)}, give or take ${spread.spread.hitsPerMin.toFixed(0)}`
      : one.hitsPerMin.toFixed(0),
    formula: `60 ÷ (seconds out + seconds back). ${law} The give or take adds up the ranges of ball, floor and wall as independent errors.`,
    inputs: [
      { label: 'Out', value: `${one.outS.toFixed(2)} s`, from: 'hand to wall' },
      { label: 'Back', value: `${one.backS.toFixed(2)} s`, from: 'wall to hand' },
      ...inputs(setup),
    ],
    source: lawSource,
  };
}

export function explainHit(setup: WallSetup, one: WallSolution): Explanation {
  return {
    title: 'The hit',
    value: `${one.speedMps.toFixed(1)} m/s, ${degrees(one.elevation).toFixed(0)}° ${one.elevation < 0 ? 'down' : 'up'}`,
    formula: law,
    inputs: inputs(setup),
    source: lawSource,
  };
}

export function explainForgiveness(one: Forgiveness): Explanation {
  const off = (angle: number) => `${degrees(angle).toFixed(1)}°`;
  return {
    title: 'What it forgives',
    value: `speed −${percent(one.slower)} to +${percent(one.faster)}`,
    formula:
      'Each error alone is made larger until the ball can no longer be met within a step: arm and racket to the side, one and a half strides in, one back, from the shin to the top of the head.',
    inputs: [
      { label: 'Slower by', value: percent(one.slower), from: `beyond it: ${one.ends.slower}` },
      { label: 'Faster by', value: percent(one.faster), from: `beyond it: ${one.ends.faster}` },
      { label: 'Lower by', value: off(one.down), from: `beyond it: ${one.ends.down}` },
      { label: 'Higher by', value: off(one.up), from: `beyond it: ${one.ends.up}` },
      {
        label: 'To either side by',
        value: off(one.side),
        from: `${inMetres(one.sideAtWallM)} off at the wall; beyond it: wide`,
      },
    ],
    source: 'The flight; the reach is our own choice, with the fit to the child.',
  };
}

/** Faster out, faster back, in one line. */
export function paceInWords(change: PaceChange): string {
  const { factor, offWallChange, lessS, bounceShiftM } = change;
  const harder = factor > 1;
  const first = `${percent(Math.abs(factor - 1))} ${harder ? 'harder' : 'softer'} out: ${percent(Math.abs(offWallChange))} ${offWallChange > 0 ? 'faster' : 'slower'} off the wall, ${Math.abs(lessS).toFixed(2)} s ${lessS > 0 ? 'sooner' : 'later'} where the player stood`;
  if (bounceShiftM === null) return `${first}, before it has bounced.`;
  return `${first}, bouncing ${inMetres(Math.abs(bounceShiftM))} ${bounceShiftM > 0 ? 'further out' : 'nearer the wall'}.`;
}
