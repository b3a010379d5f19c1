import { distance, type Point } from '../../geometry/points';
import { moverOf, straightS, type Manner } from '../pace';
import { homeOf, placeOf, type Shot, type ShadowGround, type Stroke } from './shots';

/** Who plays it. Metres. */
export interface ShadowPlayer {
  readonly age: number;
  readonly sideStepM: number;
  readonly contactM: number;
}

/** How the feet get from one place to the next. */
export const patterns = ['on the spot', 'step in', 'shuffle', 'crossover'] as const;
export type Pattern = (typeof patterns)[number];

/** A straight part of the way between two strokes. */
export interface Stretch {
  readonly from: Point;
  readonly to: Point;
  readonly lengthM: number;
  readonly steps: number;
  readonly pattern: Pattern;
  readonly seconds: number;
}

/** From one contact to the next: the swing's end, the way, and the next swing up to its contact. */
export interface Gap {
  /** Which shot it leads to, from 0; the first one follows the last, as a sequence is looped. */
  readonly to: number;
  readonly stretches: readonly Stretch[];
  readonly finishS: number;
  /** On the way: every stretch, and the ready hop at home. */
  readonly wayS: number;
  readonly setS: number;
  readonly needsS: number;
}

/** Below this the feet only adjust, metres. Ours. */
const onTheSpotM = 0.12;
/** Side steps carry this far to the side (common practice: three at most) and back (two, three at most). */
const mostShuffles = { side: 3, back: 2 } as const;
/** A hop into the ready position at home, seconds. Ours. */
const readyHopS = 0.2;

/**
 * Seconds up to contact and after it, for a player of thirteen; a serve has its toss in it. Ours: nothing published
 * covers shadow strokes of children, and a coach's own eye stands above it.
 */
const swings: Readonly<Record<Stroke, { readonly setS: number; readonly finishS: number }>> = {
  drive: { setS: 0.3, finishS: 0.25 },
  push: { setS: 0.2, finishS: 0.15 },
  loop: { setS: 0.35, finishS: 0.3 },
  block: { setS: 0.15, finishS: 0.1 },
  flick: { setS: 0.2, finishS: 0.2 },
  volley: { setS: 0.2, finishS: 0.15 },
  slice: { setS: 0.3, finishS: 0.25 },
  smash: { setS: 0.45, finishS: 0.3 },
  serve: { setS: 1.2, finishS: 0.4 },
};
/** A child of five takes a third longer over a swing than one of thirteen. Ours. */
const swingShare = (age: number): number => 1 + (Math.max(0, 13 - Math.max(5, age)) / 8) * (1 / 3);

/** How the feet cover a way: by its length and direction. Backwards square to the front is never among them. */
export function patternOf(from: Point, to: Point, sideStepM: number): { pattern: Pattern; steps: number } {
  const lengthM = distance(from, to);
  if (lengthM < onTheSpotM) return { pattern: 'on the spot', steps: 0 };
  const steps = Math.max(1, Math.ceil(lengthM / sideStepM - 1e-9));
  const [dx, dy] = [Math.abs(to.x - from.x), to.y - from.y];
  if (-dy > dx) return { pattern: 'step in', steps };
  const most = dy > dx ? mostShuffles.back : mostShuffles.side;
  return { pattern: steps <= most ? 'shuffle' : 'crossover', steps };
}

const manners: Readonly<Record<Exclude<Pattern, 'on the spot'>, Manner>> = {
  'step in': 'run',
  shuffle: 'side step',
  crossover: 'run',
};

function stretchOf(from: Point, to: Point, { age, sideStepM }: ShadowPlayer): Stretch {
  const { pattern, steps } = patternOf(from, to, sideStepM);
  const lengthM = distance(from, to);
  if (pattern === 'on the spot') return { from, to, lengthM, steps, pattern, seconds: 0 };
  const mover = moverOf(age);
  // To cross over, the body has to turn first.
  const turnS = pattern === 'crossover' ? mover.turnS : 0;
  return { from, to, lengthM, steps, pattern, seconds: straightS(mover, lengthM, manners[pattern]) + turnS };
}

/** The gaps of a looped sequence: gap n leads to shot n, and gap 0 from the last shot to the first. */
export function gapsOf(shots: readonly Shot[], ground: ShadowGround, player: ShadowPlayer): Gap[] {
  const home = homeOf(ground);
  const share = swingShare(player.age);
  const feet = shots.map((shot) => placeOf(shot, ground, player.contactM).feet);
  return shots.map((shot, to) => {
    const before = shots.at(to - 1)!;
    const from = feet.at(to - 1)!;
    const stops = before.home ? [from, home, feet[to]!] : [from, feet[to]!];
    const stretches = stops.slice(1).map((stop, n) => stretchOf(stops[n]!, stop, player));
    const wayS = stretches.reduce((sum, { seconds }) => sum + seconds, before.home ? readyHopS : 0);
    const finishS = share * swings[before.stroke].finishS;
    const setS = share * swings[shot.stroke].setS;
    return { to, stretches, finishS, wayS, setS, needsS: finishS + wayS + setS };
  });
}

/** What a sequence asks for. */
export interface Demands {
  readonly gaps: readonly Gap[];
  /** Way of the feet in one pass, metres, and their steps. */
  readonly lengthM: number;
  readonly steps: number;
  /** The gap that takes the longest: it sets the tempo. */
  readonly tightest: Gap;
  /** The fastest even tempo that can be played, strokes a minute, rounded down. */
  readonly fastestPerMin: number;
}

/** @param shots at least two */
export function demandsOf(shots: readonly Shot[], ground: ShadowGround, player: ShadowPlayer): Demands {
  const gaps = gapsOf(shots, ground, player);
  const stretches = gaps.flatMap((gap) => gap.stretches);
  const tightest = gaps.reduce((worst, gap) => (gap.needsS > worst.needsS ? gap : worst));
  return {
    gaps,
    lengthM: stretches.reduce((sum, { lengthM }) => sum + lengthM, 0),
    steps: stretches.reduce((sum, { steps }) => sum + steps, 0),
    tightest,
    fastestPerMin: Math.floor(60 / tightest.needsS + 1e-9),
  };
}

/** The gaps that are too short at a tempo, the tightest first. */
export const tooFast = ({ gaps }: Pick<Demands, 'gaps'>, perMin: number): Gap[] =>
  gaps.filter(({ needsS }) => needsS > 60 / perMin + 1e-9).sort((a, b) => b.needsS - a.needsS);
