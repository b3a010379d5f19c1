import { bounce } from '../bounce';
import { fine, Flight } from '../flight';
import { flyTo, type Gate, type PathPoint } from '../fly';
import { launched, speedOf, X, Y } from '../motion';
import { groundOf, hitFromM, topspinOf, type WallNumbers, type WallSetup } from './setup';

/** One hit followed to where it is met again, or to where it is lost. */
export interface Trial {
  /** How it came to the plane where the player stands: through the air, after one bounce, or not at all. */
  readonly came: 'in the air' | 'after one bounce' | 'not';
  readonly outS: number;
  readonly backS: number;
  readonly wallM: number;
  /** Speed at the wall, before and after. */
  readonly wallMps: number;
  readonly offWallMps: number;
  /** Where it bounced, metres from the wall; null when it did not. */
  readonly bounceM: number | null;
  /** Its height and speed where it is met; upwards is positive. */
  readonly heightM: number;
  readonly risingMps: number;
  readonly arrivalMps: number;
  readonly topM: number;
}

/** Where a hit is made from: the place it is met, unless the player was drawn away from it. */
export interface From {
  readonly distanceM: number;
  readonly heightM: number;
}

/** Follows single hits of one set-up. */
export class Trials {
  readonly #flight = new Flight(fine);
  readonly #motion = new Float64Array(9);
  readonly #setup: WallSetup;
  readonly #numbers: WallNumbers;
  readonly #from: From;
  readonly #wallGate: Gate<'wall'>;
  readonly #floorGate: Gate<'floor'>;
  readonly #backGates: readonly Gate<'ground' | 'met' | 'floor'>[];

  constructor(setup: WallSetup, numbers: WallNumbers, from?: From) {
    this.#setup = setup;
    this.#numbers = numbers;
    this.#from = from ?? { distanceM: setup.distanceM, heightM: hitFromM(setup) };
    const { levelM, fromM, toM } = groundOf(setup);
    const radius = numbers.ball.radiusM;
    const floor = { name: 'floor', axis: Y, level: radius, toward: -1 } as const;
    this.#wallGate = { name: 'wall', axis: X, level: radius, toward: -1 };
    this.#floorGate = floor;
    this.#backGates = [
      { name: 'met', axis: X, level: setup.distanceM, toward: 1 },
      {
        name: 'ground',
        axis: Y,
        level: levelM + radius,
        toward: -1,
        ...(toM < Infinity && { there: (at) => at[0]! >= fromM && at[0]! <= toM }),
      },
      ...(levelM > 0 ? [floor] : []),
    ];
  }

  /** Height at the wall of a hit so hard and so steep; NaN when it never gets there. */
  wallHeight(speedMps: number, elevation: number): number {
    return this.#out(speedMps, elevation).gate === 'wall' ? this.#motion[1]! : NaN;
  }

  /** Follows a hit all the way. */
  follow(speedMps: number, elevation: number, path?: PathPoint[]): Trial {
    const m = this.#motion;
    const { ball, wall, ground } = this.#numbers;
    const out = this.#out(speedMps, elevation, path);
    const wallM = m[1]!;
    const wallMps = speedOf(m);
    bounce(ball, wall, m, X);
    const offWallMps = speedOf(m);
    let leg = flyTo(this.#flight, ball, m, this.#backGates, path, out.seconds);
    let backS = leg.seconds;
    let topM = Math.max(out.topM, leg.topM);
    let bounceM: number | null = null;
    if (leg.gate === 'ground') {
      bounceM = m[0]!;
      bounce(ball, ground, m, Y);
      leg = flyTo(this.#flight, ball, m, this.#backGates, path, out.seconds + backS);
      backS += leg.seconds;
      topM = Math.max(topM, leg.topM);
    }
    const met = leg.gate === 'met' && out.gate === 'wall';
    return {
      came: !met ? 'not' : bounceM === null ? 'in the air' : 'after one bounce',
      outS: out.seconds,
      backS,
      wallM,
      wallMps,
      offWallMps,
      bounceM,
      heightM: m[1]!,
      risingMps: m[4]!,
      arrivalMps: speedOf(m),
      topM,
    };
  }

  /** To the wall, by way of the floor in a smash. Below the floor it flies on: the height there is still a number. */
  #out(speedMps: number, elevation: number, path?: PathPoint[]) {
    const m = launched(
      [this.#from.distanceM, this.#from.heightM, 0],
      { speedMps, elevation, topspin: topspinOf(this.#setup) },
      -1,
      this.#motion,
    );
    const { ball, ground } = this.#numbers;
    if (this.#setup.shot !== 'floor first') return flyTo(this.#flight, ball, m, [this.#wallGate], path);
    const down = flyTo(this.#flight, ball, m, [this.#wallGate, this.#floorGate], path);
    if (down.gate !== 'floor') return { ...down, gate: null };
    bounce(ball, ground, m, Y);
    const on = flyTo(this.#flight, ball, m, [this.#wallGate, this.#floorGate], path, down.seconds);
    return {
      ...on,
      gate: on.gate === 'wall' ? ('wall' as const) : null,
      seconds: down.seconds + on.seconds,
      topM: Math.max(down.topM, on.topM),
    };
  }
}
