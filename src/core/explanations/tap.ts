import type { Tapping } from '../ballistics/tap/bounce-tempo';
import type { HoopToss, SoftCatch, Toss } from '../ballistics/tap/toss';
import type { Explanation } from '../base/explain';
import { counted } from '../base/words';

const cm = (metres: number): string => `${Math.round(100 * metres)} cm`;
const m = (metres: number): string => `${Number(metres.toFixed(2))} m`;
const seconds = (s: number): string => `${s.toFixed(2)} s`;
const speed = (mps: number): string => `${mps.toFixed(1)} m/s`;

export function tappingSentence({ heightM, touchesPerMin, periodS }: Tapping): string {
  return `Bounce it ${cm(heightM)} over the face: ${Math.round(touchesPerMin)} touches a minute, one every ${seconds(periodS)}.`;
}

export function clapsSentence(claps: number, clapsPerS: number, { heightM, airS }: Toss): string {
  return `Toss ${m(heightM)} over the hand for ${counted(claps, 'clap')} at ${clapsPerS.toFixed(1)} a second: ${seconds(airS)} in the air.`;
}

export function hoopSentence({ heightM, hoopM, upS, airS }: HoopToss): string {
  return `Toss ${m(heightM)} over the hand: it passes the hoop at ${m(hoopM)} after ${seconds(upS)} and is back in the hand after ${seconds(airS)}.`;
}

export function catchSentence({ catchMps, stopM, stopG, stopS }: SoftCatch): string {
  return `The ball comes at ${speed(catchMps)}: a hand that sinks ${cm(stopM)} with it slows it at ${stopG.toFixed(1)} g in ${seconds(stopS)}, without a sound.`;
}

const drag = 'Closed forms of straight up and down with quadratic drag, any textbook of mechanics.';

export const tapLaw = {
  formula:
    'Up: v = V √(exp(2gh/V²) − 1), t = (V/g) arctan(v/V). Down: v = V √(1 − exp(−2gh/V²)), t = (V/g) arcosh(exp(gh/V²)). V is the terminal speed √(2mg/ρC_dA). Without drag both are √(2h/g).',
  source: `${drag} Masses and sizes: ITF and ITTF rules, from memory.`,
} as const;

export function explainTapping(one: Tapping, face: string): Explanation {
  return {
    title: 'Touches a minute',
    value: Math.round(one.touchesPerMin).toString(),
    formula: `60 ÷ (seconds up + seconds down). ${tapLaw.formula}`,
    inputs: [
      { label: 'Height', value: cm(one.heightM), from: `over the ${face}` },
      { label: 'Goes up at', value: speed(one.upMps) },
      { label: 'Comes down at', value: speed(one.downMps), from: 'drag has taken the rest' },
    ],
    source: tapLaw.source,
  };
}

export function explainFace(one: Tapping, face: string): Explanation {
  return {
    title: 'What the hand adds',
    value: speed(one.faceMps),
    formula:
      'The face moves up at u = (v up − e v down) / (1 + e) when they meet: what the bounce loses. Held still, the ball comes up only to the height beside.',
    inputs: [
      { label: 'Goes up at', value: speed(one.upMps) },
      { label: 'Comes down at', value: speed(one.downMps) },
      { label: 'From a still face', value: cm(one.aloneM), from: face },
    ],
    source: 'Restitution seen from the moving face, any textbook; strings: R. Cross, from memory.',
  };
}

export function explainSteadiness(heightM: number, spreadS: number, spreadM: number): Explanation {
  return {
    title: 'Spread of the height',
    value: cm(spreadM),
    formula:
      'The height grows with the square of the time: a share of the time is twice that share of the height.',
    inputs: [
      { label: 'Height', value: cm(heightM) },
      {
        label: 'Spread of the time',
        value: `${Math.round(1000 * spreadS)} ms`,
        from: 'standard deviation from touch to touch',
      },
    ],
    source: 'h = g t²/8, any textbook; without drag.',
  };
}

export function explainCatch(one: SoftCatch): Explanation {
  return {
    title: 'What a silent catch asks',
    value: `${one.stopG.toFixed(1)} g over ${cm(one.stopM)}`,
    formula:
      'Fall = over the head + head to waist − slowing distance; the slowing is v²/2d. Silent: the hand is level with the ball and as fast when they meet, so nothing hits anything.',
    inputs: [
      { label: 'Fall', value: m(one.fallM), from: 'top of the toss to where slowing begins' },
      { label: 'Hand goes down at', value: speed(one.handMps), from: 'when they meet' },
      { label: 'Push on the hand', value: `${one.pushN.toFixed(1)} N`, from: 'slowing and weight' },
    ],
    source:
      'Work and energy, any textbook. 60 to 90 cm over the head, slowed over 15 to 20 cm: common practice.',
  };
}

export function explainToss(one: Toss, why: string): Explanation {
  return {
    title: 'The toss',
    value: m(one.heightM),
    formula: `${why} ${tapLaw.formula}`,
    inputs: [
      { label: 'In the air', value: seconds(one.airS) },
      { label: 'Thrown at', value: speed(one.throwMps) },
      { label: 'Comes back at', value: speed(one.catchMps) },
    ],
    source: tapLaw.source,
  };
}
