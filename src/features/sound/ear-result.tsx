import { Check, Pencil, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { measures, numberInWords } from '@/core/counting/measure';
import { counted } from '@/core/base/words';
import type { Conditions } from '@/core/sound/conditions';
import type { Heard } from '@/core/sound/hearing';
import { howManyInWords } from '@/core/sound/how-many';
import { Button } from '@/ui/button';
import type { HeardStep } from '@/session/court/hearing';
import { heardInWords, leftOutInWords, leftOutOf } from './heard-words';
import { TouchLine } from './touch-line';

export interface ResultProps {
  readonly name: string;
  readonly heard: Heard;
  readonly step: HeardStep;
  /** Touches that were heard where nothing counts: in a rest, or outside its time. */
  readonly outside: number;
  /** What it comes to in the log, attempt by attempt. */
  readonly keptAs: readonly (number | null)[];
  readonly conditions: readonly Conditions[];
  /** What was tapped meanwhile, and whether that is the larger evidence. */
  readonly tapped: number;
  readonly tapsWin: boolean;
  /** What a made-up drill really had; null from a real microphone: only that is kept. */
  readonly truth: readonly number[] | null;
  /** Whether a child's own count of claps is asked for. */
  readonly asksSaid?: boolean;
  readonly onKeep: (said: number | null) => void;
  readonly onCorrect: () => void;
  readonly onDrop: () => void;
}

/** What was heard: how many, how sure, what was left out; kept, put right or dropped with one press. */
export function EarResult(props: ResultProps) {
  const {
    name,
    heard,
    step,
    outside,
    keptAs,
    conditions,
    tapped,
    tapsWin,
    truth,
    asksSaid = true,
    onKeep,
    onCorrect,
    onDrop,
  } = props;
  const [said, setSaid] = useState('');
  const left = leftOutInWords(leftOutOf(heard));
  const nothing = keptAs.length === 0;
  return (
    <div className="space-y-3">
      <p className="font-head text-4xl font-extrabold" data-heard-result>
        {heardInWords(heard, step)}
        {heard.by === 'rows' && step.measure !== 'steadiness' && (
          <span className="ml-2 text-xl font-semibold">{measures[step.measure].unit}</span>
        )}
      </p>
      {heard.by === 'rows' && <TouchLine rows={heard.rows.rows} leftOut={heard.rows.leftOut} />}
      {heard.by === 'rows' && heard.rows.rows.length > 1 && step.measure === 'row' && (
        <p>
          Rows:{' '}
          {heard.rows.rows
            .map(
              ({ howMany, endedBy }) => `${howManyInWords(howMany)}${endedBy === 'floor' ? ' (floor)' : ''}`,
            )
            .join('; ')}
          .
        </p>
      )}
      {heard.by === 'rows' && heard.turns && (
        <p>
          In turn: {heard.turns.inTurn} of {heard.turns.inTurn + heard.turns.twice}.
        </p>
      )}
      {heard.by === 'claps' && asksSaid && (
        <label className="flex items-center gap-2">
          The step asks for {counted(step.claps ?? 1, 'clap')}. What did {name} say?
          <input
            inputMode="numeric"
            value={said}
            onChange={({ target }) => /^\d{0,2}$/.test(target.value) && setSaid(target.value)}
            aria-label="Claps said"
            className="tabular min-h-11 w-16 rounded-md border-2 border-edge bg-sheet px-2"
          />
        </label>
      )}
      <p className="text-soft">
        {left ? `Left out: ${left}.` : 'Nothing was left out.'}
        {outside > 0 &&
          ` ${counted(outside, 'touch', 'touches')} in a rest or outside the time: not counted.`}
      </p>
      {conditions.map(({ kind, words }) => (
        <p key={kind} className="text-care">
          {words}
        </p>
      ))}
      {!truth && keptAs.length > 0 && (
        <p data-kept-as>
          Kept as {keptAs.map((one) => (one === null ? '–' : numberInWords(step.measure, one))).join('; ')}{' '}
          {measures[step.measure].unit}.
        </p>
      )}
      {tapped > 0 && (
        <p data-beside-taps>
          Tapped meanwhile: {tapped}.{' '}
          {tapsWin
            ? 'The finger was surer: what was tapped stays, unless you keep what was heard.'
            : 'The ear was surer: if it is kept, it takes the place of what was tapped.'}
        </p>
      )}
      {truth ? (
        <p className="rounded-md border-2 border-edge bg-chalk px-3 py-2">
          This was the practice microphone: its whole drill has {truth.join(' and then ')}. Nothing of it is
          kept.
        </p>
      ) : (
        <div className="flex flex-wrap gap-2">
          <Button
            look={tapsWin ? 'plain' : 'now'}
            disabled={nothing}
            className="min-h-14 min-w-60 flex-1 text-lg"
            onClick={() => onKeep(said === '' ? null : Number(said))}
          >
            <Check aria-hidden size={20} /> Keep what was heard
          </Button>
          <Button className="min-h-14" onClick={onCorrect}>
            <Pencil aria-hidden size={18} /> Correct
          </Button>
          <Button look={tapsWin ? 'now' : 'plain'} className="min-h-14" onClick={onDrop}>
            <Trash2 aria-hidden size={18} /> {tapped > 0 ? 'Keep the taps' : 'Drop it'}
          </Button>
        </div>
      )}
    </div>
  );
}
