import { fine, Flight } from '../flight';
import { ballNumbers, balls } from '../balls';
import { flyTo } from '../fly';
import { fromPerMinute, launched, radians, Y } from '../motion';
import type { FeederPlace, FeederSettings } from './feeder';
import { aimFeeder } from './aim';

/** How a player goes back for a lob. */
export interface LobStep {
  readonly steps: number;
  readonly how: 'stay' | 'side steps' | 'crossover steps';
}

/** Side steps up to two, three at most; more are crossover steps. Common practice of the trade. */
export const mostSideSteps = 3;

/** So little further back is leaning, not stepping, metres: ours. */
const aStandM = 0.05;

/** The steps a way back takes. @param backM metres, >= 0 */
export function stepsBack(backM: number, sideStepM: number, strideM: number): LobStep {
  const side = Math.ceil(backM / sideStepM - 1e-6);
  if (backM < aStandM) return { steps: 0, how: 'stay' };
  if (side <= mostSideSteps) return { steps: side, how: 'side steps' };
  return { steps: Math.ceil(backM / strideM - 1e-6), how: 'crossover steps' };
}

/** One lob of the ramp. */
export interface Lob extends LobStep {
  /** Where it would land, and where it comes down to the player's reach, metres from the mouth. */
  readonly landM: number;
  readonly meetM: number;
  /** From the start place to there: negative is in front. */
  readonly backM: number;
  readonly meetS: number;
  /** Time to spare for those steps; below 0 it is too deep for this height. */
  readonly toSpareS: number;
  readonly settings: FeederSettings;
}

/** Seconds of a side step and of a crossover step of a child: ours. */
const stepS = { stay: 0, 'side steps': 0.4, 'crossover steps': 0.3 } as const;
/** Seconds from the feed to the first step: seeing that it is deep. Ours. */
const readS = 0.45;

/**
 * Lobs of one arc, deeper and deeper from the start place: where only one, two, three side steps or crossover steps
 * reach. Depths the machine cannot feed are left out.
 * @param reachM height at which the ball is met overhead, metres
 */
export function lobRamp(
  settings: FeederSettings,
  place: FeederPlace,
  apexM: number,
  child: { readonly reachM: number; readonly sideStepM: number; readonly strideM: number },
  depths = 17,
): Lob[] {
  return Array.from({ length: depths }, (_, k) => place.playerM - 0.5 + 0.25 * k).flatMap((landM) => {
    const aimed = aimFeeder(settings, place, { alongM: landM, sideM: 0, apexM });
    if (!aimed.ok) return [];
    const met = meets(aimed.settings, place, child.reachM);
    if (!met) return [];
    const backM = met.meetM - place.playerM;
    const step = stepsBack(Math.max(0, backM), child.sideStepM, child.strideM);
    return [
      {
        ...step,
        landM,
        backM,
        ...met,
        toSpareS: met.meetS - readS - step.steps * stepS[step.how],
        settings: aimed.settings,
      },
    ];
  });
}

/** Where and when a feed comes down to a height. */
function meets(settings: FeederSettings, place: FeederPlace, reachM: number) {
  const ball = ballNumbers(balls[settings.ball]);
  const motion = launched(
    [0, place.mouthM, 0],
    {
      speedMps: settings.speedMps,
      elevation: radians(settings.elevationDeg),
      topspin: fromPerMinute(settings.spinPerMin),
    },
    1,
  );
  const gate = { name: 'reach', axis: Y, level: reachM, toward: -1 } as const;
  const leg = flyTo(new Flight(fine), ball, motion, [gate]);
  return leg.gate === null || leg.topM < reachM ? null : { meetM: motion[0]!, meetS: leg.seconds };
}
