import { Pin, PinOff } from 'lucide-react';
import { inMetres, paceInWords, wallLaw, wallRefusal, wallSentence } from '@/core/explanations/wall';
import type { WallSetup } from '@/core/ballistics/wall/setup';
import type { BenchesView } from '@/server/views/benches';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/page-head';
import { Law, Readings, Sentence } from '../answer';
import type { BenchChild } from '../child';
import { TempoAsked } from './tempo-asked';
import type { WallWork } from './use-wall';
import type { WallStart } from './wall-start';
import { WallDrawing, type DrawnRally } from './wall-drawing';
import { wallReadings } from './wall-readings';
import { WriteWall } from './write-wall';
import { DrawingToTake } from '@/ui/drawing/to-take';
import { Said } from '@/ui/units';

interface AnswerProps {
  readonly view: BenchesView;
  readonly start: WallStart;
  readonly setup: WallSetup;
  readonly work: WallWork;
  readonly child: BenchChild;
  /** What the place lacks. */
  readonly note: string | null;
  readonly kept: DrawnRally | null;
  readonly onKeep: (rally: DrawnRally | null) => void;
  readonly onSetup: (setup: WallSetup) => void;
}

/** What comes of a set-up: the sentence, the way into a plan, the picture, the numbers, and the law. */
export function WallAnswerView({
  view,
  start,
  setup,
  work,
  child,
  note,
  kept,
  onKeep,
  onSetup,
}: AnswerProps) {
  const { answer, rally, mends, paces } = work;
  return (
    <>
      {answer.ok ? (
        <Sentence>{wallSentence(setup, answer.solution)}</Sentence>
      ) : (
        <Sentence limit>{wallRefusal(setup, answer, mends)}</Sentence>
      )}
      {note && (
        <p className="rounded-md bg-care-bg px-3 py-1 font-semibold text-care">
          <Said>{note}</Said>
        </p>
      )}
      <WriteWall view={view} start={start} rally={rally} playerId={child.id} />
      <Sheet className="px-2 pt-1" aria-label="Side view">
        <DrawingToTake name="wall">
          <WallDrawing setup={setup} bodyM={child.heightM} rally={rally} kept={kept} />
        </DrawingToTake>
        <div className="flex flex-wrap items-center justify-between gap-2 px-1 pb-1 text-sm">
          <span className="text-soft">
            <span className="font-bold text-now">━</span> out <span className="font-bold text-now">┅</span>{' '}
            back · shaded on the wall: the band that still comes back
            {kept && (
              <>
                {' '}
                · <span className="font-bold text-safe">━</span> kept:{' '}
                <Said>{`${inMetres(kept.setup.distanceM)}, mark ${inMetres(kept.setup.targetM)}`}</Said>,{' '}
                {kept.setup.ball}
              </>
            )}
          </span>
          {kept ? (
            <Button look="quiet" className="min-h-9 touch:min-h-11 px-2" onClick={() => onKeep(null)}>
              <PinOff aria-hidden size={16} /> Let the kept one go
            </Button>
          ) : (
            <Button
              look="quiet"
              className="min-h-9 touch:min-h-11 px-2"
              disabled={!rally}
              onClick={() => onKeep(rally)}
            >
              <Pin aria-hidden size={16} /> Keep beside
            </Button>
          )}
        </div>
      </Sheet>
      {rally && <Readings title="Numbers" readings={wallReadings(rally, work, kept)} />}
      <TempoAsked setup={setup} onSetup={onSetup} />
      {paces.length > 0 && (
        <details className="text-sm">
          <summary className="min-h-6 touch:min-h-11 font-semibold">
            Change of pace: faster out, faster back
          </summary>
          <ul className="mt-1 list-disc pl-5">
            {paces.map((one) => (
              <li key={one.factor}>{paceInWords(one)}</li>
            ))}
          </ul>
        </details>
      )}
      <Law {...wallLaw} />
    </>
  );
}
