'use client';

import { useState } from 'react';
import { ballKinds, balls, type BallKind } from '@/core/ballistics/balls';
import {
  bouncesAlone,
  heightForTempo,
  heightSpreadM,
  tapping,
  tappingSpread,
} from '@/core/ballistics/tap/bounce-tempo';
import { faceKinds, faces, type FaceKind } from '@/core/ballistics/tap/faces';
import {
  catchSpread,
  clapRate,
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
  tapLaw,
  tappingSentence,
} from '@/core/explanations/tap';
import { inMetres } from '@/core/explanations/wall';
import { counted } from '@/core/words';
import type { BenchesView } from '@/server/views/benches';
import { Sheet } from '@/ui/page-head';
import { Law, Readings, Sentence, type Reading } from '../answer';
import { chosenChild, childOptions, placeOptions, type BenchChild } from '../child';
import { Choice, Dial } from '../dial';
import { BenchFrame } from '../frame';
import { TossDrawing, type DrawnToss } from './toss-drawing';

const questions = ['bounce on a face', 'toss and clap', 'through the hoop', 'soft catch'] as const;
type Question = (typeof questions)[number];

/** What is set on the bench. Metres, seconds, a second. */
interface Settings {
  readonly heightM: number;
  readonly spreadS: number;
  readonly claps: number;
  readonly perS: number;
  readonly hoopM: number;
  readonly overHeadM: number;
  readonly stopM: number;
}

interface Worked {
  readonly sentence: string;
  readonly drawn: DrawnToss;
  readonly readings: readonly Reading[];
}

const settingsFor = (child: BenchChild): Settings => ({
  heightM: 0.37,
  spreadS: 0.03,
  claps: 5,
  perS: clapRate(child.age),
  hoopM: child.hoopM,
  overHeadM: 0.75,
  stopM: 0.18,
});

const ms = (mps: number): string => `${mps.toFixed(1)} m/s`;

function bounced(child: BenchChild, ball: BallKind, face: FaceKind, { heightM, spreadS }: Settings): Worked {
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
        value: one.perMin.toFixed(0),
        note: `give or take ${off.perMin.toFixed(1)}, from the ball’s ranges`,
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

function clapped(child: BenchChild, ball: BallKind, { claps, perS }: Settings): Worked {
  const one = tossForClaps(ball, claps, perS);
  const from = handM(child.heightM);
  const why = `Air time = (claps + one beat to get ready) ÷ claps a second = ${one.airS.toFixed(2)} s.`;
  return {
    sentence: clapsSentence(claps, perS, one),
    drawn: {
      fromM: from,
      heightM: one.heightM,
      seconds: [one.airS],
      ball,
      marks: Array.from({ length: claps }, (_, k) => ({ atS: (k + 1) / perS, text: String(k + 1) })),
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

function hooped(child: BenchChild, ball: BallKind, { hoopM }: Settings): Worked {
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

function caught(child: BenchChild, ball: BallKind, { overHeadM, stopM }: Settings): Worked {
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
        note: `± ${off.catchMps.toFixed(1)}, after a fall of ${inMetres(one.fallM)}`,
        explain: () => explainCatch(one),
      },
      {
        label: 'Slowed at',
        value: `${one.stopG.toFixed(1)} g`,
        note: `± ${off.stopG.toFixed(1)} g, over ${Math.round(100 * stopM)} cm`,
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

/** The toss and tap bench: heights and times of a ball that goes straight up and comes down. */
export function TossBench({
  view,
  start,
}: {
  view: BenchesView;
  start: { playerId: string; placeId: string };
}) {
  const [playerId, setPlayerId] = useState(start.playerId || (view.players[0]?.id ?? ''));
  const [placeId, setPlaceId] = useState(start.placeId);
  const child = chosenChild(view, playerId);
  const [question, setQuestion] = useState<Question>('bounce on a face');
  const [ball, setBall] = useState<BallKind>(child.ball);
  const [face, setFace] = useState<FaceKind>(child.sport === 'tennis' ? 'strings' : 'bat rubber');
  const [settings, setSettings] = useState(() => settingsFor(child));
  const change = (more: Partial<Settings>) => setSettings({ ...settings, ...more });
  const setPlayer = (id: string) => {
    const next = chosenChild(view, id);
    setPlayerId(id);
    setBall(next.ball);
    setFace(next.sport === 'tennis' ? 'strings' : 'bat rubber');
    change({ perS: clapRate(next.age), hoopM: next.hoopM });
  };
  const place = view.places.find((one) => one.id === placeId);
  const worked = {
    'bounce on a face': () => bounced(child, ball, face, settings),
    'toss and clap': () => clapped(child, ball, settings),
    'through the hoop': () => hooped(child, ball, settings),
    'soft catch': () => caught(child, ball, settings),
  }[question]();
  const top = worked.drawn.fromM + worked.drawn.heightM + balls[ball].diameterM.value;
  const low = place && place.ceilingM !== null && top > place.ceilingM ? place : null;

  return (
    <BenchFrame
      here="toss"
      set={
        <div className="space-y-1.5">
          <fieldset className="mb-2">
            <legend className="sr-only">What</legend>
            <div className="grid grid-cols-2 gap-1">
              {questions.map((one) => (
                <button
                  key={one}
                  type="button"
                  aria-pressed={one === question}
                  onClick={() => setQuestion(one)}
                  className={`min-h-11 rounded-md border-2 px-2 text-sm font-semibold hover:bg-chalk ${one === question ? 'border-ink bg-chalk' : 'border-line'}`}
                >
                  {one}
                </button>
              ))}
            </div>
          </fieldset>
          <Choice label="Player" value={playerId} options={childOptions(view)} onChange={setPlayer} />
          <Choice label="Place" value={placeId} options={placeOptions(view)} onChange={setPlaceId} />
          <Choice
            label="Ball"
            value={ball}
            options={ballKinds.map((value) => ({ value, text: balls[value].label }))}
            onChange={setBall}
          />
          {question === 'bounce on a face' && (
            <Choice
              label="Face"
              value={face}
              options={faceKinds.map((value) => ({ value, text: faces[value].label }))}
              onChange={setFace}
            />
          )}
          <div className="space-y-0.5 border-t-2 border-line pt-1.5">
            <QuestionDials
              question={question}
              ball={ball}
              face={face}
              settings={settings}
              onChange={change}
            />
          </div>
        </div>
      }
    >
      <Sentence limit={low !== null}>
        {worked.sentence}
        {low && ` It needs ${inMetres(top)} of clear height: ${low.name} has ${inMetres(low.ceilingM!)}.`}
      </Sentence>
      <Sheet className="p-2" aria-label="Picture">
        <TossDrawing drawn={worked.drawn} bodyM={child.heightM} ceilingM={place?.ceilingM ?? null} />
      </Sheet>
      <Readings title="Numbers" readings={worked.readings} />
      <Law {...tapLaw} />
    </BenchFrame>
  );
}

interface DialsProps {
  readonly question: Question;
  readonly ball: BallKind;
  readonly face: FaceKind;
  readonly settings: Settings;
  readonly onChange: (more: Partial<Settings>) => void;
}

function QuestionDials({ question, ball, face, settings, onChange }: DialsProps) {
  switch (question) {
    case 'bounce on a face':
      return (
        <>
          <Dial
            label="Height over the face"
            unit="cm"
            value={100 * settings.heightM}
            min={5}
            max={150}
            step={1}
            onChange={(cm) => onChange({ heightM: cm / 100 })}
          />
          <Dial
            label="Touches a minute"
            unit=""
            value={tapping(ball, face, settings.heightM).perMin}
            min={55}
            max={290}
            step={1}
            onChange={(perMin) => onChange({ heightM: heightForTempo(ball, perMin) })}
          />
          <Dial
            label="Spread of the time"
            unit="ms"
            value={1000 * settings.spreadS}
            min={5}
            max={150}
            step={1}
            onChange={(milli) => onChange({ spreadS: milli / 1000 })}
          />
        </>
      );
    case 'toss and clap':
      return (
        <>
          <Dial
            label="Claps"
            unit=""
            value={settings.claps}
            min={1}
            max={12}
            step={1}
            onChange={(claps) => onChange({ claps: Math.round(claps) })}
          />
          <Dial
            label="Claps a second"
            unit="1/s"
            value={settings.perS}
            min={1.5}
            max={7}
            step={0.1}
            onChange={(perS) => onChange({ perS })}
          />
        </>
      );
    case 'through the hoop':
      return (
        <Dial
          label="Hoop over the floor"
          unit="m"
          value={settings.hoopM}
          min={1.2}
          max={4.5}
          step={0.05}
          onChange={(hoopM) => onChange({ hoopM })}
        />
      );
    case 'soft catch':
      return (
        <>
          <Dial
            label="Toss over the head"
            unit="cm"
            value={100 * settings.overHeadM}
            min={10}
            max={200}
            step={5}
            onChange={(cm) => onChange({ overHeadM: cm / 100 })}
          />
          <Dial
            label="The hand sinks"
            unit="cm"
            value={100 * settings.stopM}
            min={2}
            max={50}
            step={1}
            onChange={(cm) => onChange({ stopM: cm / 100 })}
          />
        </>
      );
  }
}
