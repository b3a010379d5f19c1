import { courts } from '../../ballistics/net/courts';
import type { Point } from '../../geometry/points';

/*
 * A shadow sequence: strokes without a ball, at places that are called. Everything is said from the side of the racket, so
 * that one line of words is right for either hand; only the floor is mirrored.
 */
export const sides = ['forehand', 'backhand'] as const;
export type Side = (typeof sides)[number];

export const strokes = [
  'drive',
  'push',
  'loop',
  'block',
  'flick',
  'volley',
  'slice',
  'smash',
  'serve',
] as const;
export type Stroke = (typeof strokes)[number];

/**
 * Where the imagined ball comes, across: the corner of the stroke's own side, beyond it, the middle; or the other corner,
 * with the feet going round it (the pivot).
 */
export const acrosses = ['corner', 'wide', 'middle', 'pivot'] as const;
export type Across = (typeof acrosses)[number];

/** How deep it comes: at the net, short, to where one stands, or deep. */
export const depths = ['net', 'in', 'line', 'out'] as const;
export type Depth = (typeof depths)[number];

/** How the imagined ball comes, and where it is sent. */
export const comings = ['topspin', 'backspin', 'high', 'fast'] as const;
export const goings = ['cross', 'straight'] as const;
export type Coming = (typeof comings)[number];
export type Going = (typeof goings)[number];

export interface Shot {
  readonly side: Side;
  readonly stroke: Stroke;
  readonly across: Across;
  readonly depth: Depth;
  readonly coming: Coming | null;
  readonly going: Going | null;
  /** True when the feet go back to the ready place before the next one. */
  readonly home: boolean;
}

export type ShadowSport = 'tennis' | 'table tennis';

/** What is shadowed on: a table's end, or half of a court. */
export const shadowGrounds = ['table', 'chalk', 'red', 'orange', 'full'] as const;
export type ShadowGround = (typeof shadowGrounds)[number];

export const groundsOf = (sport: ShadowSport): readonly ShadowGround[] =>
  sport === 'table tennis' ? ['table'] : ['chalk', 'red', 'orange', 'full'];

export const groundWords: Readonly<Record<ShadowGround, string>> = {
  table: 'A table, or a line as wide as one',
  chalk: 'A chalk court of 4 × 4 m',
  red: 'Half a red court',
  orange: 'Half an orange court',
  full: 'Half a full court',
};

const strokesBy: Readonly<Record<ShadowSport, readonly Stroke[]>> = {
  tennis: ['drive', 'slice', 'volley', 'smash', 'serve'],
  'table tennis': ['drive', 'push', 'loop', 'block', 'flick', 'smash', 'serve'],
};
/** The strokes of a sport; the first is meant where none is named. */
export const strokesOf = (sport: ShadowSport): readonly Stroke[] => strokesBy[sport];

export const depthsOf = (sport: ShadowSport): readonly Depth[] =>
  sport === 'tennis' ? depths : depths.filter((depth) => depth !== 'net');

/** A shot as it is meant where nothing more is said: on court one goes home after it, at a table one stays on the way. */
export const plainShot = (sport: ShadowSport): Shot => ({
  side: 'forehand',
  stroke: strokesOf(sport)[0]!,
  across: 'corner',
  depth: 'line',
  coming: null,
  going: null,
  home: sport === 'tennis',
});

/** Sizes of a ground, metres: x from its middle, y from its front (the table's end, or the net). */
interface Lie {
  /** Middle to the ball in the corner, and to the ball that is wide. */
  readonly cornerM: number;
  readonly wideM: number;
  readonly depthM: Readonly<Record<Depth, number>>;
}

/**
 * At a table: balls over the end line 20 cm inside its corner, or as much outside; an arm and a bat behind it, a foot's
 * length from it for the short ball, and a good step further back for the deep one (common practice).
 */
const tableLie: Lie = {
  cornerM: 0.55,
  wideM: 0.95,
  depthM: { net: 0.35, in: 0.35, line: 0.75, out: 1.6 },
};
/**
 * On half a court: corner balls at seven tenths of the half width, wide ones just inside the side line; volleys at a
 * quarter of the half length, short balls at six tenths, the ready place a step behind the baseline, deep balls 1.2 m
 * further (ours, made smaller with the court).
 */
function courtLie(widthM: number, halfM: number): Lie {
  const share = Math.min(1, halfM / (courts.full.lengthM / 2));
  return {
    cornerM: 0.7 * (widthM / 2),
    wideM: 0.95 * (widthM / 2),
    depthM: {
      net: 0.25 * halfM,
      in: 0.6 * halfM,
      line: halfM + 0.3 * share,
      out: halfM + 1.5 * share,
    },
  };
}
const lies: Readonly<Record<ShadowGround, Lie>> = {
  table: tableLie,
  chalk: courtLie(4, 4),
  red: courtLie(courts.red.widthM, courts.red.lengthM / 2),
  orange: courtLie(courts.orange.widthM, courts.orange.lengthM / 2),
  full: courtLie(courts.full.widthM, courts.full.lengthM / 2),
};

/** A forehand is met a whole contact distance beside the body, a backhand nearer to it: ours. */
const metAt: Readonly<Record<Side, number>> = { forehand: 1, backhand: 0.4 };

/** Where the imagined ball is met, and where the feet then are. A left-hander's floor is the mirror of it. */
export interface Place {
  readonly ball: Point;
  readonly feet: Point;
}

/**
 * @param contactM from the body to the ball at contact (of the fit), metres
 * @param leftHanded mirrors the floor
 */
export function placeOf(
  { side, across, depth, stroke }: Pick<Shot, 'side' | 'across' | 'depth' | 'stroke'>,
  ground: ShadowGround,
  contactM: number,
  leftHanded = false,
): Place {
  const { cornerM, wideM, depthM } = lies[ground];
  const own = side === 'forehand' ? 1 : -1;
  const away = { corner: cornerM, wide: wideM, middle: 0, pivot: -cornerM }[across];
  const mirror = leftHanded ? -1 : 1;
  const y = depthM[depth];
  // What is met over the head, and a serve, is met above the feet.
  const beside = stroke === 'smash' || stroke === 'serve' ? 0 : metAt[side] * contactM;
  const ballX = own * away;
  return {
    ball: { x: mirror * ballX, y: Math.max(0, y - 0.3) },
    feet: { x: mirror * (ballX - own * beside), y },
  };
}

/** Where one waits: in the middle, ready. */
export const homeOf = (ground: ShadowGround): Point => ({ x: 0, y: lies[ground].depthM.line });

/** The floor that is drawn: as wide and deep as its furthest feet need, metres. */
export function floorOf(ground: ShadowGround, contactM: number): { widthM: number; depthM: number } {
  const { wideM, depthM } = lies[ground];
  const far = Math.max(wideM, lies[ground].cornerM + contactM);
  return { widthM: 2 * (far + 0.5), depthM: depthM.out + 0.8 };
}
