import { g } from '../../base/gravity';
import { normals, seededRandom, wholeBetween, type Random } from '../../base/random';
import { bodyOf, type Body, type Struckable } from './impact';
import { noiseKinds } from './noise';
import { usualDb, type Room, type Struck } from './scene';

/** What is really struck in a made-up drill. */
export interface Blow extends Struck {
  readonly kind: Struckable;
}

/** Nobody begins at once: the room is heard for so long first, seconds. */
const startsS = 1.2;

/** A made-up drill and what is true of it. */
export interface MadeUp<Truth> {
  readonly seconds: number;
  readonly blows: readonly Blow[];
  readonly truth: Truth;
}

/** The things of one scene: each sounds the same in the whole of it. */
export class Things {
  readonly #bodies = new Map<string, Body>();
  readonly #draw: () => number;

  constructor(readonly random: Random) {
    this.#draw = normals(random);
  }

  /** A blow some dB over or under the usual; `of` names another's ball or racket. */
  blow(atS: number, kind: Struckable, overDb = 0, of = ''): Blow {
    const key = `${kind} ${of}`;
    const body = this.#bodies.get(key) ?? bodyOf(kind, this.random);
    this.#bodies.set(key, body);
    return { atS, kind, body, levelDb: usualDb + overDb + 1.5 * this.#draw() };
  }

  normal(): number {
    return this.#draw();
  }

  between(low: number, high: number): number {
    return low + (high - low) * this.random();
  }
}

/** A room by chance: its noise, how long it echoes, and one of both usual sampling rates. */
export function anyRoom(random: Random, snrDb: number): Room & { readonly rate: number } {
  return {
    rate: random() < 0.5 ? 44_100 : 48_000,
    noise: noiseKinds[wholeBetween(random, 0, noiseKinds.length - 1)]!,
    snrDb,
    echoS: random() < 0.3 ? 0 : 0.3 + 1.2 * random(),
  };
}

/** Seven of a sound, well apart, to teach it by (five would do, but not all are always heard); three seconds of nobody stand before them. */
export function taught(things: Things, kind: Struckable, overDb = 0, of = ''): MadeUp<number> {
  const blows: Blow[] = [];
  let atS = 3.2;
  for (let n = 0; n < 7; n++) {
    blows.push(things.blow(atS, kind, overDb, of));
    atS += things.between(0.45, 0.75);
  }
  return { seconds: atS + 0.3, blows, truth: blows.length };
}

/** A ball that is lost: it comes to the floor and bounces on there, softer each time. */
function lost(things: Things, fromS: number): { blows: Blow[]; endS: number } {
  const blows: Blow[] = [];
  let heightM = things.between(0.8, 1.2);
  let atS = fromS + Math.sqrt((2 * heightM) / g) + things.between(0, 0.1);
  for (let n = 0; n < 6 && heightM > 0.06; n++) {
    blows.push(things.blow(atS, 'floor', -3 - 3 * n));
    heightM *= 0.5;
    atS += 2 * Math.sqrt((2 * heightM) / g);
  }
  return { blows, endS: atS };
}

/** Footsteps round a moment, softer than what is counted. */
function steps(things: Things, fromS: number, toS: number, share: number): Blow[] {
  const blows: Blow[] = [];
  for (let atS = fromS; atS < toS; atS += things.between(0.4, 0.9))
    if (things.random() < share) blows.push(things.blow(atS, 'step', things.between(-14, -6)));
  return blows;
}

export interface RowTruth {
  /** Touches of each row. */
  readonly rows: readonly number[];
  readonly touches: readonly number[];
  readonly periodS: number;
}

/** Rows on a face: bounces to one height, some lost, the floor, steps to the ball, and on again. */
export function madeRows(
  things: Things,
  rows: readonly number[],
  heightM = things.between(0.12, 0.6),
  kind: Struckable = 'strings',
): MadeUp<RowTruth> {
  const periodS = 2 * Math.sqrt((2 * heightM) / g);
  const blows: Blow[] = [];
  const touches: number[] = [];
  let atS = startsS;
  for (const [index, row] of rows.entries()) {
    const fromS = atS;
    for (let n = 0; n < row; n++) {
      blows.push(things.blow(atS, kind));
      touches.push(atS);
      if (n < row - 1) atS += periodS * Math.max(0.6, 1 + 0.09 * things.normal());
    }
    blows.push(...steps(things, fromS, atS, 0.25));
    if (index === rows.length - 1) break;
    const away = lost(things, atS);
    blows.push(...away.blows);
    const again = away.endS + things.between(0.8, 2.5);
    blows.push(...steps(things, away.endS, again, 0.7));
    atS = again;
  }
  return { seconds: atS + 1, blows: inOrder(blows), truth: { rows, touches, periodS } };
}

/** A neighbour's ball: the same kind of face, another racket, farther away. */
export function neighbour(things: Things, seconds: number, overDb: number): Blow[] {
  const blows: Blow[] = [];
  const periodS = things.between(0.4, 0.7);
  for (let atS = things.between(0.3, 1); atS < seconds - 0.5; atS += periodS * (1 + 0.08 * things.normal()))
    blows.push(things.blow(atS, 'strings', overDb, 'neighbour'));
  return blows;
}

export interface WallTruth {
  readonly hits: number;
  readonly walls: readonly number[];
  readonly cycleS: number;
}

/** A rally with a wall: racket, wall, a bounce (or none, when it is volleyed), racket. */
export function madeWall(things: Things, hits: number, cycleS = things.between(1.1, 2)): MadeUp<WallTruth> {
  const blows: Blow[] = [];
  const walls: number[] = [];
  let atS = startsS;
  for (let n = 0; n < hits; n++) {
    const volley = things.random() < 0.2;
    // Uneven lawns and feet: no two come back alike.
    const thisS = cycleS * (volley ? 0.62 : 1) * Math.max(0.75, 1 + 0.1 * things.normal());
    blows.push(things.blow(atS, 'strings', 3));
    const wallS = atS + thisS * things.between(0.3, 0.36);
    walls.push(wallS);
    blows.push(things.blow(wallS, 'wall', -2));
    if (!volley) blows.push(things.blow(atS + thisS * things.between(0.64, 0.72), 'floor', -7));
    atS += thisS;
  }
  const away = lost(things, atS - 0.2);
  return {
    seconds: away.endS + 1,
    blows: inOrder([...blows, ...away.blows]),
    truth: { hits, walls, cycleS },
  };
}

/** Tosses with claps under them, each ended by a catch. */
export function madeClaps(things: Things, tosses: readonly number[]): MadeUp<readonly number[]> {
  const blows: Blow[] = [];
  let atS = startsS;
  const clapsPerS = things.between(3.5, 6);
  for (const claps of tosses) {
    let clapS = atS + things.between(0.18, 0.3);
    for (let n = 0; n < claps; n++) {
      blows.push(things.blow(clapS, 'clap'));
      clapS += (1 / clapsPerS) * (1 + 0.08 * things.normal());
    }
    const catchS = clapS + things.between(0.08, 0.2);
    blows.push(things.blow(catchS, 'catch', -4));
    atS = catchS + things.between(1, 2);
  }
  return { seconds: atS + 0.5, blows, truth: tosses };
}

/** How quiet a catch is: silent, a buzz, bounced. */
export type CatchGrade = 'silent' | 'buzz' | 'bounced';

/** Catches on the strings in three grades, as loud against a plain bounce as each is. */
export function madeCatches(things: Things, grades: readonly CatchGrade[]): MadeUp<readonly CatchGrade[]> {
  const blows: Blow[] = [];
  let atS = startsS;
  for (const grade of grades) {
    if (grade === 'bounced') {
      blows.push(things.blow(atS, 'strings', things.between(-3, 0)));
      let gapS = things.between(0.2, 0.32);
      let bounceS = atS;
      for (let n = 0; n < wholeBetween(things.random, 2, 3); n++) {
        bounceS += gapS;
        blows.push(things.blow(bounceS, 'strings', -5 - 2 * n));
        gapS *= 0.72;
      }
    } else
      blows.push(
        things.blow(atS, 'strings', grade === 'buzz' ? things.between(-8, -6) : things.between(-15, -13)),
      );
    atS += things.between(1.8, 3);
  }
  return { seconds: atS, blows, truth: grades };
}

export interface EvenTruth {
  readonly spreadCm: number;
  readonly touches: readonly number[];
}

/** Bounces whose heights differ by a spread. */
export function madeEven(things: Things, count: number, meanM: number, spreadM: number): MadeUp<EvenTruth> {
  const blows: Blow[] = [];
  const heights: number[] = [];
  let atS = startsS;
  for (let n = 0; n <= count; n++) {
    blows.push(things.blow(atS, 'strings'));
    if (n === count) break;
    const heightM = Math.max(0.08, meanM + spreadM * things.normal());
    heights.push(heightM);
    atS += 2 * Math.sqrt((2 * heightM) / g);
  }
  const mean = heights.reduce((sum, one) => sum + one, 0) / count;
  const spread = Math.sqrt(heights.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (count - 1));
  return {
    seconds: atS + 1,
    blows,
    truth: { spreadCm: 100 * spread, touches: blows.map((one) => one.atS) },
  };
}

/** Touches of two sides in turn; now and then the same side twice. */
export function madeTurns(
  things: Things,
  count: number,
  faults: number,
): MadeUp<{ sides: readonly string[] }> {
  const blows: Blow[] = [];
  const sides: string[] = [];
  let atS = startsS;
  let side = 'forehand';
  for (let n = 0; n < count; n++) {
    blows.push(things.blow(atS, 'table', 0, side));
    sides.push(side);
    const again = n > 0 && n <= faults * 5 && n % 5 === 0;
    if (!again) side = side === 'forehand' ? 'backhand' : 'forehand';
    atS += 0.5 * (1 + 0.08 * things.normal());
  }
  return { seconds: atS + 1, blows, truth: { sides } };
}

const inOrder = (blows: readonly Blow[]): Blow[] => [...blows].sort((a, b) => a.atS - b.atS);

/** The things of a scene of its own. */
export const thingsOf = (seed: number): Things => new Things(seededRandom(seed));
