import { ballNumbers, balls, type BallKind } from '../balls';
import { fine, Flight } from '../flight';
import { flyTo } from '../fly';
import { fromPerMinute, launched, radians, X, Y } from '../motion';
import { ballEnds, spreadOver, type BallInstead } from '../spread-over';
import { netHeightAt, type Court } from './courts';

/** Where a ball is met: metres from the net on this side, to the right of the middle, over the floor. */
export interface ContactPoint {
  readonly fromNetM: number;
  readonly sideM: number;
  readonly heightM: number;
}

/** A stretch of the far side, metres beyond the net; null when nothing of it can be hit. */
export type Stretch = { readonly fromM: number; readonly toM: number } | null;

/** The far side in one direction. */
export interface Ray {
  /** Where the direction meets the far baseline's width, as the side there. */
  readonly sideAtBaselineM: number;
  readonly stretch: Stretch;
}

/**
 * What can be hit on a straight line: the line from the contact point just over the net meets the court nearest; all that
 * is deeper, to the baseline, is within reach too. Geometry.
 * @param clearanceM metres of air over the net under the ball's centre
 */
export function straightStretch(
  court: Court,
  contact: ContactPoint,
  clearanceM: number,
  sideAtBaselineM: number,
): Stretch {
  const half = court.lengthM / 2;
  const share = contact.fromNetM / (contact.fromNetM + half);
  const sideAtNet = contact.sideM + share * (sideAtBaselineM - contact.sideM);
  const overNet = netHeightAt(court, sideAtNet) + clearanceM - court.levelM;
  const height = contact.heightM - court.levelM;
  if (height <= overNet) return null;
  const nearest = (contact.fromNetM * overNet) / (height - overNet);
  const last = Math.min(half, leavesAt(court, contact, sideAtBaselineM));
  return nearest <= last ? { fromM: nearest, toM: last } : null;
}

/** How a ball is hit. */
export interface Hit {
  readonly ball: BallKind;
  readonly speedMps: number;
  readonly spinPerMin: number;
}

/** What a hit of one speed and spin can reach in one direction, and the angles that do it. */
export interface Reachable {
  readonly stretch: NonNullable<Stretch>;
  /**
   * Ranges of elevation that clear the net and land in, the flattest first, degrees. Two where what lies between them is long:
   * a drive and a lob, both of which reach as far as the baseline.
   */
  readonly arcs: readonly Arc[];
}

export interface Arc {
  readonly fromDeg: number;
  readonly toDeg: number;
}

/** Arcs in words: "hit 4° to 9°", "drive 4° to 9° or lob 58° to 66°". */
export function arcsInWords(arcs: readonly Arc[]): string {
  const range = ({ fromDeg, toDeg }: Arc) => `${fromDeg.toFixed(0)}° to ${toDeg.toFixed(0)}°`;
  const [drive, ...others] = arcs;
  if (!drive) return '';
  return others.length === 0
    ? `hit ${range(drive)}`
    : `drive ${range(drive)} or lob ${others.map(range).join(', ')}`;
}

/** Angles looked at, degrees. */
const lookFrom = -30;
const lookTo = 75;
const lookStep = 0.5;

/**
 * The part of the far side a hit reaches in one direction at one speed and spin, over the net with the clearance wanted:
 * all elevations are flown, half a degree apart, and the ends found by halving.
 * @returns null when none clears the net and lands in
 */
export function flownStretch(
  court: Court,
  contact: ContactPoint,
  hit: Hit,
  clearanceM: number,
  sideAtBaselineM: number,
  instead: BallInstead = {},
): Reachable | null {
  const half = court.lengthM / 2;
  const side = Math.atan2(sideAtBaselineM - contact.sideM, contact.fromNetM + half);
  const ball = ballNumbers(balls[hit.ball], instead);
  const flight = new Flight(fine);
  /** Metres beyond the net where it lands; NaN when it is in the net, wide or long. */
  const landing = (elevationDeg: number): number => {
    const motion = launched(
      [-contact.fromNetM, contact.heightM, contact.sideM],
      {
        speedMps: hit.speedMps,
        elevation: radians(elevationDeg),
        side,
        topspin: fromPerMinute(hit.spinPerMin),
      },
      1,
    );
    const ground = { name: 'ground', axis: Y, level: court.levelM + ball.radiusM, toward: -1 } as const;
    const net = { name: 'net', axis: X, level: 0, toward: 1 } as const;
    if (flyTo(flight, ball, motion, [net, ground]).gate !== 'net') return NaN;
    if (motion[1]! - ball.radiusM < netHeightAt(court, motion[2]!) + clearanceM) return NaN;
    if (flyTo(flight, ball, motion, [ground]).gate !== 'ground') return NaN;
    const inside = motion[0]! <= half && Math.abs(motion[2]!) <= court.widthM / 2;
    return inside ? motion[0]! : NaN;
  };
  const good: { readonly at: number; readonly there: number }[] = [];
  for (let at = lookFrom; at <= lookTo; at += lookStep) {
    const there = landing(at);
    if (!Number.isNaN(there)) good.push({ at, there });
  }
  if (good.length === 0) return null;
  const edge = (good: number, bad: number): number => {
    let [a, b] = [good, bad];
    for (let round = 0; round < 16; round++) {
      const middle = (a + b) / 2;
      if (Number.isNaN(landing(middle))) b = middle;
      else a = middle;
    }
    return a;
  };
  const begins = good.filter(({ at }, n) => n === 0 || at - good[n - 1]!.at > 1.5 * lookStep);
  const arcs = begins.map(({ at }, n): Arc => {
    const next = begins[n + 1];
    const last = good.findLast((one) => next === undefined || one.at < next.at)!;
    return { fromDeg: edge(at, at - lookStep), toDeg: edge(last.at, last.at + lookStep) };
  });
  const edges = arcs.flatMap(({ fromDeg, toDeg }) => [landing(fromDeg), landing(toDeg)]);
  const ends = [...good.map(({ there }) => there), ...edges];
  return { stretch: { fromM: Math.min(...ends), toM: Math.max(...ends) }, arcs };
}

/** How far both ends of a flown stretch may be off, metres: the ranges of the ball. */
export function flownSpread(
  court: Court,
  contact: ContactPoint,
  hit: Hit,
  clearanceM: number,
  sideAtBaselineM: number,
): Readonly<Record<'fromM' | 'toM', number>> {
  const shown = (instead?: BallInstead) =>
    flownStretch(court, contact, hit, clearanceM, sideAtBaselineM, instead)?.stretch ?? null;
  const nominal = shown();
  return nominal ? spreadOver(nominal, ballEnds(hit.ball), shown).spread : { fromM: 0, toM: 0 };
}

/** Where a direction leaves the far side over a sideline, metres beyond the net; Infinity when it never does. */
function leavesAt(court: Court, { fromNetM, sideM }: ContactPoint, sideAtBaselineM: number): number {
  const drift = (sideAtBaselineM - sideM) / (fromNetM + court.lengthM / 2);
  if (drift === 0) return Math.abs(sideM) <= court.widthM / 2 ? Infinity : -Infinity;
  const line = (Math.sign(drift) * court.widthM) / 2;
  return (line - sideM) / drift - fromNetM;
}

/** Nearest to the net that directions are looked at, as a share of half the court. */
const sharpest = 0.06;

/**
 * Directions, so many of them, evenly over the far side: from one that leaves over the left sideline just beyond the net
 * to its like on the right. Each as its side where it crosses the line of the baseline.
 */
export function directions(court: Court, { fromNetM, sideM }: ContactPoint, count: number): number[] {
  const half = court.lengthM / 2;
  const spread = (fromNetM + half) / (fromNetM + sharpest * half);
  const [left, right] = [-1, 1].map((sign) => sideM + spread * ((sign * court.widthM) / 2 - sideM));
  return Array.from({ length: count }, (_, k) => left! + ((right! - left!) * (k + 0.5)) / count);
}

/** Share of the far side that can be hit: the area of the stretches of evenly spread directions. */
export function shareOfFarSide(court: Court, contact: ContactPoint, rays: readonly Ray[]): number {
  const half = court.lengthM / 2;
  const { fromNetM } = contact;
  const step = rays.length > 1 ? rays[1]!.sideAtBaselineM - rays[0]!.sideAtBaselineM : 0;
  // A direction is as wide as the fan is there: (d + x)/(d + half) of its width at the baseline.
  const area = rays.reduce((sum, { stretch }) => {
    if (!stretch) return sum;
    const { fromM, toM } = stretch;
    return sum + (step * ((toM * toM - fromM * fromM) / 2 + fromNetM * (toM - fromM))) / (fromNetM + half);
  }, 0);
  return Math.min(1, area / (half * court.widthM));
}
