'use client';

import { useState } from 'react';
import { balls, type BallKind } from '@/core/ballistics/balls';
import { faceKinds, faces, type FaceKind } from '@/core/ballistics/tap/faces';
import { clapRate } from '@/core/ballistics/tap/toss';
import { tapLaw } from '@/core/explanations/tap';
import { inMetres } from '@/core/explanations/wall';
import type { BenchesView } from '@/server/views/benches';
import { Sheet } from '@/ui/page-head';
import { Law, Readings, Sentence } from '../answer';
import { chosenChild, childOptions, placeOptions } from '../child';
import { Choice } from '../dial';
import { BallChoice } from '../choices';
import { BenchFrame } from '../frame';
import { TossDrawing } from './toss-drawing';
import { questions, settingsFor, tossQuestions, type Question } from './toss-questions';
import type { TossSettings } from './toss-work';
import { DrawingToTake } from '@/ui/drawing/to-take';

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
  const change = (more: Partial<TossSettings>) => setSettings({ ...settings, ...more });
  const setPlayer = (id: string) => {
    const next = chosenChild(view, id);
    setPlayerId(id);
    setBall(next.ball);
    setFace(next.sport === 'tennis' ? 'strings' : 'bat rubber');
    change({ clapsPerS: clapRate(next.age), hoopM: next.hoopM });
  };
  const place = view.places.find((one) => one.id === placeId);
  const { Dials, work } = tossQuestions[question];
  const worked = work({ child, ball, face, settings });
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
          <BallChoice value={ball} onChange={setBall} />
          {question === 'bounce on a face' && (
            <Choice
              label="Face"
              value={face}
              options={faceKinds.map((value) => ({ value, text: faces[value].label }))}
              onChange={setFace}
            />
          )}
          <div className="space-y-0.5 border-t-2 border-line pt-1.5">
            <Dials ball={ball} face={face} settings={settings} onChange={change} />
          </div>
        </div>
      }
    >
      <Sentence limit={low !== null}>
        {worked.sentence}
        {low && ` It needs ${inMetres(top)} of clear height: ${low.name} has ${inMetres(low.ceilingM!)}.`}
      </Sentence>
      <Sheet className="p-2" aria-label="Picture">
        <DrawingToTake name="toss">
          <TossDrawing drawn={worked.drawn} bodyM={child.heightM} ceilingM={place?.ceilingM ?? null} />
        </DrawingToTake>
      </Sheet>
      <Readings title="Numbers" readings={worked.readings} />
      <Law {...tapLaw} />
    </BenchFrame>
  );
}
