import { normal, type Random } from '../../base/random';
import { ballNumbers, balls, type BallKind } from '../balls';
import { bounce } from '../bounce';
import { fine, Flight } from '../flight';
import { flyTo, type Gate, type PathPoint } from '../fly';
import { fromPerMinute, launched, radians, speedOf, X, Y } from '../motion';
import { ballEnds, spreadOver, type BallInstead } from '../spread-over';
import {
  bouncyNumbers,
  bouncyParameters,
  floors,
  table,
  tableSize,
  type BouncyParameter,
  type FloorKind,
} from '../surfaces';

/** What is dialled on the simulated feeder machine. Angles in degrees, as on its scale; x along the feed. */
export interface FeederSettings {
  readonly ball: BallKind;
  readonly speedMps: number;
  readonly elevationDeg: number;
  /** Turns a minute: topspin above 0, backspin below. */
  readonly spinPerMin: number;
  /** To the right, as the machine looks. */
  readonly sideDeg: number;
  readonly intervalS: number;
  /** Standard deviation from ball to ball: per cent of the speed, and degrees. */
  readonly scatterPercent: number;
  readonly scatterDeg: number;
}

/** Where the machine stands, and what the ball meets. */
export interface FeederPlace {
  /** Height of its mouth, metres over the floor. */
  readonly mouthM: number;
  /** From the mouth to the player's start place, metres. */
  readonly playerM: number;
  /** From the mouth to the net; null where there is none. Its height, metres over the floor. */
  readonly netAtM: number | null;
  readonly netM: number;
  readonly floor: FloorKind;
  /** From the mouth to the near end of the table's far half; null where there is no table. */
  readonly tableFromM: number | null;
  readonly ceilingM: number | null;
}

export const feederLimits = {
  speedMps: { min: 2, max: 35 },
  elevationDeg: { min: -20, max: 80 },
  spinPerMin: { min: -6000, max: 6000 },
  sideDeg: { min: -30, max: 30 },
  intervalS: { min: 0.5, max: 20 },
  scatterPercent: { min: 0, max: 20 },
  scatterDeg: { min: 0, max: 10 },
} as const;

/** One feed, followed to the player. Seconds from the feed on. */
export interface Feed {
  /** Where it lands, metres from the mouth and to the right; null when it never does before the player. */
  readonly landM: number | null;
  readonly landSideM: number;
  readonly bounceS: number | null;
  readonly apexM: number;
  readonly apexS: number;
  /** At the plane where the player meets it, after the bounce (before it, for a ball that is met in the air). */
  readonly contactS: number;
  readonly contactM: number;
  readonly contactSideM: number;
  readonly contactMps: number;
  /** What went wrong on the way; null when nothing did. */
  readonly fault: 'net' | 'ceiling' | 'never comes' | null;
}

/** One number of the ball or of the ground in another's place. */
interface FeedInstead {
  readonly ball?: BallInstead;
  readonly ground?: Partial<Readonly<Record<BouncyParameter, number>>>;
}

/** The machine as its makers describe it: it does what is dialled, within its scatter. */
export function feed(
  settings: FeederSettings,
  place: FeederPlace,
  contactM: number,
  random?: Random,
  path?: PathPoint[],
  instead: FeedInstead = {},
): Feed {
  const ball = ballNumbers(balls[settings.ball], instead.ball);
  const off = (spread: number) => (random && spread > 0 ? normal(random, 0, spread) : 0);
  const motion = launched(
    [0, place.mouthM, 0],
    {
      speedMps: settings.speedMps * (1 + off(settings.scatterPercent / 100)),
      elevation: radians(settings.elevationDeg + off(settings.scatterDeg)),
      side: radians(settings.sideDeg + off(settings.scatterDeg)),
      topspin: fromPerMinute(settings.spinPerMin),
    },
    1,
  );
  const flight = new Flight(fine);
  const gates = gatesOf(place, ball.radiusM, contactM);
  const first = flyTo(flight, ball, motion, gates, path);
  const nothing = {
    landM: null,
    landSideM: motion[2]!,
    bounceS: null,
    apexM: first.topM,
    apexS: first.topS,
    contactS: first.seconds,
    contactM: motion[1]!,
    contactSideM: motion[2]!,
    contactMps: speedOf(motion),
  };
  if (first.gate === 'net' || first.gate === 'ceiling') return { ...nothing, fault: first.gate };
  if (first.gate === 'player') return { ...nothing, fault: null };
  if (first.gate === null) return { ...nothing, fault: 'never comes' };
  const landM = motion[0]!;
  const landSideM = motion[2]!;
  const surface = first.gate === 'table' ? table : floors[place.floor];
  bounce(ball, bouncyNumbers(surface, instead.ground), motion, Y);
  const second = flyTo(flight, ball, motion, gates, path, first.seconds);
  return {
    landM,
    landSideM,
    bounceS: first.seconds,
    apexM: first.topM,
    apexS: first.topS,
    contactS: first.seconds + second.seconds,
    contactM: motion[1]!,
    contactSideM: motion[2]!,
    contactMps: speedOf(motion),
    fault: second.gate === 'player' ? null : 'never comes',
  };
}

type GateName = 'net' | 'ceiling' | 'table' | 'floor' | 'player';

function gatesOf(place: FeederPlace, radiusM: number, contactM: number): Gate<GateName>[] {
  const { netAtM, netM, tableFromM, ceilingM } = place;
  const top = netM + radiusM;
  return [
    { name: 'player', axis: X, level: contactM, toward: 1 },
    ...(netAtM === null
      ? []
      : [
          {
            name: 'net' as const,
            axis: X,
            level: netAtM,
            toward: 1 as const,
            there: (at: Float64Array) => at[1]! < top,
          },
        ]),
    ...(ceilingM === null
      ? []
      : [{ name: 'ceiling' as const, axis: Y, level: ceilingM - radiusM, toward: 1 as const }]),
    ...(tableFromM === null
      ? []
      : [
          {
            name: 'table' as const,
            axis: Y,
            level: tableSize.heightM + radiusM,
            toward: -1 as const,
            there: (at: Float64Array) =>
              at[0]! >= tableFromM &&
              at[0]! <= tableFromM + tableSize.lengthM / 2 &&
              Math.abs(at[2]!) <= tableSize.widthM / 2,
          },
        ]),
    { name: 'floor', axis: Y, level: radiusM, toward: -1 },
  ];
}

/** Where feeds land when the machine scatters. */
export interface LandingMap {
  readonly feeds: readonly Feed[];
  readonly meanM: number;
  readonly meanSideM: number;
  /** Standard deviations along and across, metres. */
  readonly spreadM: number;
  readonly spreadSideM: number;
  /** How many landed, and how many got there without a fault. */
  readonly landed: number;
  readonly good: number;
}

export function landingMap(
  settings: FeederSettings,
  place: FeederPlace,
  contactM: number,
  count: number,
  random: Random,
): LandingMap {
  const feeds = Array.from({ length: count }, () => feed(settings, place, contactM, random));
  const landed = feeds.filter((one) => one.landM !== null);
  const mean = (of: (one: Feed) => number) =>
    landed.reduce((sum, one) => sum + of(one), 0) / Math.max(1, landed.length);
  const spread = (of: (one: Feed) => number, middle: number) =>
    Math.sqrt(landed.reduce((sum, one) => sum + (of(one) - middle) ** 2, 0) / Math.max(1, landed.length - 1));
  const along = (one: Feed) => one.landM!;
  const across = (one: Feed) => one.landSideM;
  const [meanM, meanSideM] = [mean(along), mean(across)];
  return {
    feeds,
    meanM,
    meanSideM,
    spreadM: spread(along, meanM),
    spreadSideM: spread(across, meanSideM),
    landed: landed.length,
    good: feeds.filter((one) => one.fault === null).length,
  };
}

/** How far a feed may be off because ball and ground are only known within a range; the machine itself scatters besides. */
export function feedSpread(
  settings: FeederSettings,
  place: FeederPlace,
  contactM: number,
): Readonly<Record<'landM' | 'contactM' | 'contactS', number>> {
  const shown = (instead?: FeedInstead) => {
    const one = feed(settings, place, contactM, undefined, undefined, instead);
    return one.fault === null
      ? { landM: one.landM ?? 0, contactM: one.contactM, contactS: one.contactS }
      : null;
  };
  const nominal = shown();
  if (!nominal) return { landM: 0, contactM: 0, contactS: 0 };
  const ground = place.tableFromM === null ? floors[place.floor] : table;
  const pairs: (readonly [FeedInstead, FeedInstead])[] = [
    ...ballEnds(settings.ball).map(([low, high]) => [{ ball: low }, { ball: high }] as const),
    ...bouncyParameters.map(
      (name) =>
        [{ ground: { [name]: ground[name].low } }, { ground: { [name]: ground[name].high } }] as const,
    ),
  ];
  return spreadOver(nominal, pairs, shown).spread;
}
