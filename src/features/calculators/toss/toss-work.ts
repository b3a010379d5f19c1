import { balls, type BallKind } from '@/core/ballistics/balls';
import { bouncesAlone, heightSpreadM, tapping, tappingSpread } from '@/core/ballistics/tap/bounce-tempo';
import { faces, type FaceKind } from '@/core/ballistics/tap/faces';
import {
  catchSpread,
  handM,
  hoopToss,
  softCatch,
  toss,
  tossForClaps,
  tossSpreadM,
} from '@/core/ballistics/tap/toss';
import {
  catchSentence,
  clapsSentence,
  explainCatch,
  explainFace,
  explainSteadiness,
  explainTapping,
  explainToss,
  hoopSentence,
  tappingSentence,
} from '@/core/explanations/tap';
import { inMetres } from '@/core/explanations/wall';
import { counted } from '@/core/base/words';
import type { Reading } from '../answer';
import type { BenchChild } from '../child';
import type { DrawnToss } from './toss-drawing';

/** What is set on the bench. Metres, seconds, a second. */
export interface TossSettings {
  readonly heightM: number;
  readonly spreadS: number;
  readonly claps: number;
  readonly clapsPerS: number;
  readonly hoopM: number;
  readonly overHeadM: number;
  readonly stopM: number;
}

/** What a question is worked out from. */
export interface Asked {
  readonly child: BenchChild;
  readonly ball: BallKind;
  readonly face: FaceKind;
  readonly settings: TossSettings;
}

export interface Worked {
  readonly sentence: string;
  readonly drawn: DrawnToss;
  readonly readings: readonly Reading[];
}

const ms = (mps: number): string => `${mps.toFixed(1)} m/s`;

export function bounced({ child, ball, face, settings }: Asked): Worked {
  const { heightM, spreadS } = settings;
  const one = tapping(ball, face, heightM);
  const spreadM = heightSpreadM(heightM, one.periodS, spreadS);
  const { label } = faces[face];
  const off = tappingSpread(ball, face, heightM);
  return {
    sentence: tappingSentence(one),
    drawn: {
      fromM: handM(child.heightM) - 0.1,
      heightM,
      seconds: [one.periodS, one.periodS, one.periodS],
      ball,
      marks: [],
      spreadM,
    },
    readings: [
      {
        label: 'Touches a minute',
        value: one.touchesPerMin.toFixed(0),
        note: `give or take ${off.touchesPerMin.toFixed(1)}, from the ball’s ranges`,
        explain: () => explainTapping(one, label),
      },
      {
        label: 'What the hand adds',
        value: ms(one.faceMps),
        note: `give or take ${off.faceMps.toFixed(1)}, upwards at the touch`,
        explain: () => explainFace(one, label),
      },
      {
        label: 'From a still face',
        value: `${Math.round(100 * one.aloneM)} cm`,
        note: `± ${Math.round(100 * off.aloneM)} cm; ${counted(bouncesAlone(ball, face, heightM), 'bounce')} till it lies`,
        explain: () => explainFace(one, label),
      },
      {
        label: 'Steadiness',
        value: `± ${Math.round(100 * spreadM)} cm`,
        note: `from ± ${Math.round(1000 * spreadS)} ms between touches`,
        explain: () => explainSteadiness(heightM, spreadS, spreadM),
      },
    ],
  };
}

export function clapped({ child, ball, settings }: Asked): Worked {
  const { claps, clapsPerS } = settings;
  const one = tossForClaps(ball, claps, clapsPerS);
  const from = handM(child.heightM);
  const why = `Air time = (claps + one beat to get ready) ÷ claps a second = ${one.airS.toFixed(2)} s.`;
  return {
    sentence: clapsSentence(claps, clapsPerS, one),
    drawn: {
      fromM: from,
      heightM: one.heightM,
      seconds: [one.airS],
      ball,
      marks: Array.from({ length: claps }, (_, k) => ({ atS: (k + 1) / clapsPerS, text: String(k + 1) })),
    },
    readings: [
      {
        label: 'Over the hand',
        value: inMetres(one.heightM),
        note: `give or take ${Math.max(1, Math.round(100 * tossSpreadM(ball, one.airS)))} cm, from the ball’s ranges`,
        explain: () => explainToss(one, why),
      },
      {
        label: 'In the air',
        value: `${one.airS.toFixed(2)} s`,
        note: `${counted(claps, 'clap')} and a beat`,
        explain: () => explainToss(one, why),
      },
      { label: 'Thrown at', value: ms(one.throwMps), note: `comes back at ${ms(one.catchMps)}` },
      {
        label: 'Clear height',
        value: inMetres(from + one.heightM + balls[ball].diameterM.value),
        note: 'over the floor',
      },
    ],
  };
}

export function hooped({ child, ball, settings }: Asked): Worked {
  const { hoopM } = settings;
  const from = handM(child.heightM);
  const one = hoopToss(ball, hoopM, from);
  const why = 'From the hand to a ball and a half over the hoop.';
  return {
    sentence: hoopSentence(one),
    drawn: {
      fromM: from,
      heightM: one.heightM,
      seconds: [one.airS],
      ball,
      hoopM,
      marks: [
        { atS: one.upS, text: 'up' },
        { atS: one.downS, text: 'down' },
      ],
    },
    readings: [
      {
        label: 'Hoop',
        value: inMetres(hoopM),
        note: `${(hoopM / child.heightM).toFixed(1)} times the height`,
      },
      { label: 'Over the hand', value: inMetres(one.heightM), explain: () => explainToss(one, why) },
      {
        label: 'Through it',
        value: `${one.upS.toFixed(2)} s`,
        note: `and down again at ${one.downS.toFixed(2)} s`,
      },
      {
        label: 'In the air',
        value: `${one.airS.toFixed(2)} s`,
        note: `caught at ${ms(one.catchMps)}`,
        explain: () => explainToss(one, why),
      },
    ],
  };
}

export function caught({ child, ball, settings }: Asked): Worked {
  const { overHeadM, stopM } = settings;
  const one = softCatch(ball, child.heightM, overHeadM, stopM);
  const from = handM(child.heightM);
  const whole = toss(ball, child.heightM + overHeadM - from);
  const off = catchSpread(ball, child.heightM, overHeadM, stopM);
  return {
    sentence: catchSentence(one),
    drawn: { fromM: from, heightM: whole.heightM, seconds: [whole.airS], ball, marks: [], stopM },
    readings: [
      {
        label: 'Comes at',
        value: ms(one.catchMps),
        note: `± ${off.catchMps.toFixed(2)}, after a fall of ${inMetres(one.fallM)}`,
        explain: () => explainCatch(one),
      },
      {
        label: 'Slowed at',
        value: `${one.stopG.toFixed(1)} g`,
        note: `± ${off.stopG.toFixed(2)} g, over ${Math.round(100 * stopM)} cm`,
        explain: () => explainCatch(one),
      },
      {
        label: 'Hand goes down at',
        value: ms(one.handMps),
        note: 'as they meet: then it makes no sound',
        explain: () => explainCatch(one),
      },
      {
        label: 'Ceiling needed',
        value: inMetres(one.ceilingM),
        note: `${inMetres(overHeadM)} over the head`,
      },
    ],
  };
}
