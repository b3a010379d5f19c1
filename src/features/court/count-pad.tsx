'use client';

import { Check, Delete } from 'lucide-react';
import { useState } from 'react';
import { tooHigh } from '@/core/counting/limits';
import { inTenths, measures, type Measure } from '@/core/counting/measure';
import { buttonClass } from '@/ui/button';
import { Dialog } from '@/ui/dialog';

interface Props {
  /** Whose count it is, or what is put right; null while the pad is closed. */
  readonly title: string | null;
  readonly intro: string;
  readonly measure: Measure;
  /** The highest result there can be; Infinity where nothing sets an end. */
  readonly most?: number;
  readonly onKeep: (value: number) => void;
  readonly onClose: () => void;
}

const keys = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0'] as const;
/** Longest number anybody counts to on court, digits. */
const longest = 5;

/** The number on the pad; null while there is none that could be a result. */
export function padNumber(text: string): number | null {
  const value = Number(text);
  return text !== '' && text !== '.' && Number.isFinite(value) && value <= 10_000 ? value : null;
}

/** A big pad for a count that somebody counted aloud. Digits can be typed on a keyboard too. */
export function CountPad({ title, intro, measure, most = Infinity, onKeep, onClose }: Props) {
  return (
    <Dialog
      open={title !== null}
      onOpenChange={(open) => !open && onClose()}
      title={title ?? ''}
      intro={intro}
    >
      {title !== null && <Pad measure={measure} most={most} onKeep={onKeep} />}
    </Dialog>
  );
}

function Pad({ measure, most, onKeep }: Required<Pick<Props, 'measure' | 'most' | 'onKeep'>>) {
  const [text, setText] = useState('');
  const value = padNumber(text);
  const add = (key: string) =>
    setText((now) => {
      if (key === '.' ? now.includes('.') || !inTenths(measure) : now.replace('.', '').length >= longest)
        return now;
      return now === '0' && key !== '.' ? key : now + key;
    });
  const problem = value === null ? null : tooHigh(measure, most, value);
  const keep = () => {
    if (value !== null && problem === null) onKeep(value);
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
      className="space-y-3"
    >
      <div className="flex items-baseline justify-center gap-3">
        <input
          aria-label="Count"
          aria-invalid={problem !== null}
          aria-describedby={problem === null ? undefined : 'count-problem'}
          inputMode="none"
          autoComplete="off"
          value={text}
          placeholder="0"
          onChange={(event) => {
            const typed = event.target.value.replace(',', '.');
            if (/^\d*(?:\.\d*)?$/.test(typed) && typed.replace('.', '').length <= longest) setText(typed);
          }}
          className="tabular w-64 rounded-md border-2 border-edge bg-sheet px-3 text-right font-head text-7xl font-extrabold"
        />
        <span className="text-xl">{measures[measure].unit}</span>
      </div>
      <p id="count-problem" role="alert" className="min-h-6 font-semibold text-stop">
        {problem}
      </p>
      <div className="grid grid-cols-3 gap-2">
        {keys.map((key) => (
          <button
            key={key}
            type="button"
            disabled={key === '.' && !inTenths(measure)}
            onClick={() => add(key)}
            className={buttonClass('plain', 'min-h-16 text-3xl')}
          >
            {key}
          </button>
        ))}
        <button
          type="button"
          onClick={() => setText((now) => now.slice(0, -1))}
          className={buttonClass('plain', 'min-h-16 text-lg')}
        >
          <Delete aria-hidden /> Rub out
        </button>
      </div>
      <button
        type="submit"
        disabled={value === null || problem !== null}
        className={buttonClass('now', 'min-h-16 w-full text-xl')}
      >
        <Check aria-hidden /> Keep {value ?? ''}
      </button>
    </form>
  );
}
