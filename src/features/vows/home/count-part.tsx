'use client';

import { Check, Ear, Undo2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { boxSeconds, fixedTries } from '@/core/dose/facts';
import { limitsOfDose, triesOf, triesSoFar } from '@/core/counting/limits';
import type { Tally } from '@/core/counting/tally';
import type { Dose } from '@/core/dose/dose';
import { isKept } from '@/core/vows/keeping';
import { lateTapS } from '@/core/court/late-tap';
import type { CardPart } from '@/session/vows/card';
import { doneShare } from '@/session/vows/done-share';
import { buttonClass } from '@/ui/button-class';
import type { NewEvent } from '@/court/run-log';
import { ByEarLater, type PartEar } from './ear-later';
import { TypeNumber } from './type-number';
import { useSeconds } from './use-seconds';

interface Props {
  readonly part: CardPart;
  readonly dose: Dose;
  readonly count: Tally;
  /** Marks of an earlier round are closed: a new round has this number at least. */
  readonly round: number;
  readonly onMark: (mark: Omit<NewEvent, 'blockId' | 'playerId'>) => void;
  readonly onUndo: (() => void) | null;
  /** How it may be counted by ear; null where it may not, or nothing can be heard. */
  readonly ear: PartEar | null;
  /** Whose it is, for what is heard. */
  readonly name: string;
  readonly own: { readonly blockId: string; readonly playerId: string };
  readonly onMarks: (marks: readonly NewEvent[]) => void;
}

/** Measures that are only typed at home: they need more than a thumb. */
const typedOnly: ReadonlySet<string> = new Set(['steadiness', 'weakest part']);

/** Counting one part of today's vow: by tap, by the watch, or typed. */
export function CountPart(props: Props) {
  const { part, dose, count, round, onMark, onUndo, ear, name, own, onMarks } = props;
  const [asked, setAsked] = useState(false);
  // The child may turn to a step that nobody can hear.
  const hears = asked && ear !== null;
  const share = Math.min(1, doneShare(dose, count.attempts));
  const { measure } = part;
  // A set is an attempt by itself: what is done beyond the dose begins another.
  const set = Math.floor(triesSoFar(measure, count) / triesOf(dose));
  const attempt = Math.max(round, set + 1);
  return (
    <div className="space-y-3" data-share={share.toFixed(2)}>
      <Done share={share} count={count} part={part} />
      {hears ? (
        <ByEarLater
          // What is listened for is another thing with another step.
          key={JSON.stringify(ear.step)}
          name={name}
          own={own}
          dose={dose}
          attempt={attempt}
          onMarks={onMarks}
          ear={ear.step}
          load={ear.load}
          unit={part.unit}
          attempts={count.attempts.length}
          onClose={() => setAsked(false)}
        />
      ) : part.together ? (
        <button
          type="button"
          disabled={count.attempts.some(({ whole }) => whole)}
          onClick={() => onMark({ kind: 'done', attempt, value: fixedTries(dose) ?? 1 })}
          className={buttonClass('now', 'min-h-20 w-full text-2xl')}
        >
          <Check aria-hidden /> Done
        </button>
      ) : typedOnly.has(measure) ? null : dose.kind === 'timed' || dose.kind === 'routine' ? (
        <Timed part={part} dose={dose} count={count} round={round} onMark={onMark} />
      ) : measure === 'hold' || measure === 'lap' ? (
        <Watch kind={measure} attempt={attempt} onMark={onMark} />
      ) : part.zones.length > 0 && (measure === 'points' || measure === 'grade') ? (
        <Zones part={part} attempt={attempt} onMark={onMark} />
      ) : (
        <Taps part={part} count={count} attempt={attempt} onMark={onMark} />
      )}
      <div className="flex flex-wrap gap-2">
        {onUndo && (
          <button type="button" onClick={onUndo} className={buttonClass('plain', 'min-h-14 grow')}>
            <Undo2 aria-hidden size={20} /> Take back
          </button>
        )}
        {ear && !hears && (
          <button
            type="button"
            onClick={() => setAsked(true)}
            className={buttonClass('plain', 'min-h-14 grow')}
          >
            <Ear aria-hidden size={20} /> Count by ear
          </button>
        )}
        {!part.together && !hears && (
          <Typed part={part} dose={dose} attempts={count.attempts.length} round={round} onMark={onMark} />
        )}
      </div>
    </div>
  );
}

function Done({ share, count, part }: { share: number; count: Tally; part: CardPart }) {
  const said = part.together
    ? share >= 1
      ? 'Done.'
      : 'Not yet.'
    : count.attempts.length === 0
      ? 'Nothing is counted yet.'
      : `Best ${count.best ?? '–'} ${part.unit}, ${count.touches} in all.`;
  return (
    <div>
      <div className="h-3 overflow-hidden rounded-full bg-chalk" aria-hidden>
        <div
          className={`h-full ${isKept(share) ? 'bg-safe' : 'bg-now'}`}
          style={{ width: `${share * 100}%` }}
        />
      </div>
      <p className="pt-1 text-base" role="status">
        {isKept(share) ? 'Your vow for today is kept. ' : ''}
        {said}
      </p>
    </div>
  );
}

type Marking = Pick<Props, 'onMark'> & { readonly attempt: number };

function Taps({ part, count, attempt, onMark }: Marking & { part: CardPart; count: Tally }) {
  const { measure } = part;
  const touch = () =>
    onMark({ kind: measure === 'laps' ? 'lap' : 'touch', attempt, value: measure === 'laps' ? 1 : null });
  return (
    <div className="grid grid-cols-[2fr_1fr] gap-2">
      <button
        type="button"
        onClick={touch}
        className={buttonClass('now', 'min-h-44 flex-col gap-0 touch-manipulation')}
      >
        <span className="tabular font-head text-8xl leading-none font-extrabold">{count.current}</span>
        <span className="text-lg">one more {part.noun}</span>
      </button>
      <button
        type="button"
        onClick={() => onMark({ kind: 'drop', attempt })}
        className={buttonClass('plain', 'min-h-44 text-xl touch-manipulation')}
      >
        {measure === 'row' ? 'Dropped' : 'A miss'}
      </button>
    </div>
  );
}

function Zones({ part, attempt, onMark }: Marking & { part: CardPart }) {
  const kind = part.measure === 'grade' ? 'grade' : 'zone';
  return (
    <div className="grid grid-cols-2 gap-2">
      {part.zones.map(({ label, points }) => (
        <button
          key={label}
          type="button"
          onClick={() => onMark({ kind, attempt, value: points })}
          className={buttonClass('now', 'min-h-20 flex-col gap-0')}
        >
          <span className="text-2xl font-bold">{points}</span>
          <span>{label}</span>
        </button>
      ))}
      {!part.zones.some(({ points }) => points === 0) && (
        <button
          type="button"
          onClick={() => onMark({ kind, attempt, value: 0 })}
          className={buttonClass('plain', 'min-h-20 text-xl')}
        >
          A miss
        </button>
      )}
    </div>
  );
}

/** A hold or a lap against the watch. */
function Watch({ kind, attempt, onMark }: Marking & { kind: 'hold' | 'lap' }) {
  const [running, setRunning] = useState(false);
  const started = useRef(0);
  const seconds = useSeconds(running);
  const press = () => {
    if (!running) started.current = performance.now();
    else {
      const value = Math.round((performance.now() - started.current) / 100) / 10;
      if (value >= 0.3) onMark({ kind, attempt, value });
    }
    setRunning(!running);
  };
  return (
    <button type="button" onClick={press} className={buttonClass('now', 'min-h-44 w-full flex-col gap-1')}>
      <span className="tabular font-head text-7xl leading-none font-extrabold">{seconds.toFixed(1)}</span>
      <span className="text-xl">
        {running ? 'Stop' : kind === 'hold' ? 'Start holding' : 'Start the watch'}
      </span>
    </button>
  );
}

/** Counting inside a time box. */
function Timed({
  part,
  dose,
  count,
  round,
  onMark,
}: Pick<Props, 'part' | 'dose' | 'count' | 'round' | 'onMark'>) {
  const workS = boxSeconds(dose) ?? 0;
  const [box, setBox] = useState<{ attempt: number; from: number } | null>(null);
  const seconds = useSeconds(box !== null);
  const left = Math.max(0, Math.ceil(workS - seconds));
  useEffect(() => {
    if (!box) return;
    const timer = setTimeout(() => setBox(null), (workS + lateTapS) * 1000);
    return () => clearTimeout(timer);
  }, [box, workS]);
  if (!box)
    return (
      <button
        type="button"
        onClick={() =>
          setBox({ attempt: Math.max(round, count.attempts.length + 1), from: performance.now() })
        }
        className={buttonClass('now', 'min-h-28 w-full text-2xl')}
      >
        Start {workS} seconds
      </button>
    );
  return (
    <div className="space-y-2">
      <p className="tabular text-center font-head text-5xl font-extrabold" aria-live="off">
        {left} s
      </p>
      <Taps part={part} count={count} attempt={box.attempt} onMark={onMark} />
    </div>
  );
}

/** A count that was said aloud, typed in. */
function Typed({
  part,
  dose,
  attempts,
  round,
  onMark,
}: Pick<Props, 'part' | 'dose' | 'round' | 'onMark'> & { readonly attempts: number }) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <button type="button" onClick={() => setOpen(true)} className={buttonClass('plain', 'min-h-14 grow')}>
        Type the number
      </button>
    );
  return (
    <TypeNumber
      {...part}
      most={
        limitsOfDose(
          dose,
          part.measure,
          part.zones.length > 0 ? part.zones.map(({ points }) => points) : null,
        ).most
      }
      onKeep={(value) => {
        onMark({ kind: 'result', attempt: Math.max(round, attempts + 1), value });
        setOpen(false);
      }}
    />
  );
}
