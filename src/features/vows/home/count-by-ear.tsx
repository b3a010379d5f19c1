import { Ear, Square, X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { seedOf } from '@/core/base/fingerprint';
import { limitsOfDose } from '@/core/counting/limits';
import type { Dose } from '@/core/dose/dose';
import type { EarSources } from '@/court/ear';
import { heardMarks, keptAs } from '@/court/heard-marks';
import { triesAtHome } from '@/court/tries-at-home';
import type { NewEvent } from '@/court/run-log';
import { EarResult } from '@/features/sound/ear-result';
import { besideTheNumber, heardInWords, heardNow } from '@/features/sound/heard-words';
import { LevelBar } from '@/features/sound/level-bar';
import { TeachAndListen } from '@/features/sound/teach-and-listen';
import { earAsked, useEar } from '@/features/sound/use-ear';
import { useListening, type HeardResult } from '@/features/sound/use-listening';
import type { StepEar } from '@/session/vows/ears';
import { buttonClass } from '@/ui/button-class';
import { useWakeLock } from '@/ui/use-wake-lock';
import { boxSeconds } from '@/core/dose/facts';
import { TypeNumber } from './type-number';
import { useSeconds } from './use-seconds';

export interface ByEarProps {
  readonly name: string;
  readonly own: { readonly blockId: string; readonly playerId: string };
  readonly ear: StepEar;
  readonly dose: Dose;
  readonly unit: string;
  /** The try that marks of a finger would go into, and how many there were. */
  readonly attempt: number;
  readonly attempts: number;
  readonly sources: EarSources;
  readonly onMarks: (marks: readonly NewEvent[]) => void;
  readonly onClose: () => void;
}

const now = () => Date.now();
/** A family mends no address: its coach does. */
const asked = { ...earAsked, securely: 'Ask your coach for a link that begins with https' };
/** What was struck at the last moment has been heard so long after it, seconds. Ours. */
const settlesS = 1.5;

/** The phone counts what it hears: it is taught, listens, says how many and how sure, and what is kept goes into the log. */
export function CountByEar(props: ByEarProps) {
  const { name, own, ear: heardAs, dose, attempt, attempts, unit, sources, onMarks, onClose } = props;
  const { step } = heardAs;
  const ear = useEar(sources, now, seedOf(own.blockId), asked);
  const listening = useListening(ear, now, () => heardAs.hearing, false);
  const { result, fromMs } = listening;
  const [typing, setTyping] = useState(false);
  useWakeLock(fromMs !== null);
  const workS = boxSeconds(dose);
  // In a time, and row by row, what was heard is a try of its own; else it goes into the one that is on.
  const next = workS !== null || step.measure === 'row' ? Math.max(attempt, attempts + 1) : attempt;
  const marksOf = ({ heard, startMs, fromMs }: HeardResult) =>
    heardMarks(heard, {
      ...own,
      step,
      startMs,
      tryAt: triesAtHome({ measure: step.measure, next, box: workS === null ? null : { fromMs, workS } }),
    });
  const done = () => {
    setTyping(false);
    if (ear.state === 'closed') onClose();
  };
  const kept = result ? marksOf(result) : null;
  return (
    <section aria-label="Count by ear" className="space-y-3 rounded-md border-2 border-edge bg-paper p-3">
      <div className="flex items-center gap-2">
        <h3 className="flex flex-1 items-center gap-2 text-xl">
          <Ear aria-hidden size={22} /> By ear
        </h3>
        {!result && fromMs === null && (
          <button type="button" onClick={onClose} className={buttonClass('plain', 'min-h-12')}>
            <X aria-hidden size={20} /> Close
          </button>
        )}
      </div>
      {ear.trouble && (
        <p role="alert" className="font-semibold text-stop">
          {ear.trouble}
        </p>
      )}
      {fromMs !== null ? (
        <Listens ear={ear} step={step} workS={workS} onStop={listening.stop} />
      ) : result && kept && typing ? (
        <>
          <p className="text-xl font-bold">Heard: {heardInWords(result.heard, step)}</p>
          <p>What you type is kept instead.</p>
          <TypeNumber
            measure={step.measure}
            most={limitsOfDose(dose, step.measure, null).most}
            unit={unit}
            onKeep={(value) => {
              if (!listening.settle()) return;
              onMarks([{ ...own, kind: 'result', attempt: Math.max(attempt, attempts + 1), value }]);
              done();
            }}
          />
          <button
            type="button"
            onClick={() => setTyping(false)}
            className={buttonClass('plain', 'min-h-14 w-full')}
          >
            Back
          </button>
        </>
      ) : result && kept ? (
        <EarResult
          name={name}
          heard={result.heard}
          step={step}
          truth={null}
          conditions={result.conditions}
          outside={kept.outside}
          keptAs={keptAs(kept.marks, step.measure)}
          tapped={0}
          tapsWin={false}
          asksSaid={false}
          onKeep={() => {
            if (!listening.settle()) return;
            onMarks(kept.marks);
            done();
          }}
          onCorrect={() => setTyping(true)}
          onDrop={() => listening.settle() && done()}
        />
      ) : (
        <>
          <p className="text-base">Lay the phone down near the ball. No sound is kept or sent.</p>
          <TeachAndListen
            ear={ear}
            name={name}
            hearing={listening.hearing}
            onHearing={listening.setHearing}
            onListen={listening.listen}
            practice={false}
          />
        </>
      )}
    </section>
  );
}

interface ListensProps {
  readonly ear: ReturnType<typeof useEar>;
  readonly step: StepEar['step'];
  readonly workS: number | null;
  readonly onStop: () => void;
}

/** The number, so big that it is read from where the ball is. */
function Listens({ ear, step, workS, onStop }: ListensProps) {
  const { news } = ear;
  const heard = news?.heard ?? null;
  const bad = news?.conditions.find(({ stops }) => stops);
  const seconds = useSeconds(true);
  const over = workS !== null && seconds > workS + settlesS;
  useEffect(() => {
    if (over) onStop();
  }, [over, onStop]);
  return (
    <div className="space-y-3">
      {workS !== null && (
        <p className="tabular text-center font-head text-4xl font-extrabold" aria-live="off" data-left>
          {seconds < workS ? `${Math.ceil(workS - seconds)} s` : 'Time'}
        </p>
      )}
      <p className="tabular text-center font-head text-8xl leading-none font-extrabold" data-heard>
        {heard ? heardNow(heard, step) : '–'}
      </p>
      <p className="text-center" data-heard-words>
        {bad ? bad.words : heard ? besideTheNumber(heard, step) : 'listens'}
      </p>
      <LevelBar levelDb={news?.levelDb ?? -80} noiseDb={news?.noiseDb ?? -80} />
      <button type="button" onClick={onStop} className={buttonClass('now', 'min-h-20 w-full text-2xl')}>
        <Square aria-hidden /> Stop
      </button>
    </div>
  );
}
