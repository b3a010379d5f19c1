import { useState } from 'react';
import { tooHigh } from '@/core/counting/limits';
import { inTenths, type Measure } from '@/core/counting/measure';
import { buttonClass } from '@/ui/button-class';

interface Props {
  readonly measure: Measure;
  readonly unit: string;
  /** The highest result there can be; Infinity where nothing sets an end. */
  readonly most: number;
  readonly onKeep: (value: number) => void;
}

/** A number somebody knows, typed in. */
export function TypeNumber({ measure, unit, most, onKeep }: Props) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const keep = () => {
    const value = Number(text.replace(',', '.'));
    const whole = inTenths(measure) || Number.isInteger(value);
    if (text.trim() === '' || !Number.isFinite(value) || value < 0 || value > 10_000 || !whole)
      return setProblem(`Type a number from 0 to 10000${inTenths(measure) ? '' : ', a whole one'}.`);
    const high = tooHigh(measure, most, value);
    if (high) return setProblem(high);
    onKeep(value);
  };
  return (
    <form
      className="w-full space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <label className="flex items-center gap-2 text-lg">
        <span>Counted</span>
        <input
          autoFocus
          inputMode="decimal"
          value={text}
          onChange={(event) => setText(event.target.value)}
          aria-invalid={problem !== ''}
          className="min-h-14 w-28 rounded-md border-2 border-edge bg-sheet px-3 text-2xl"
        />
        <span>{unit}</span>
      </label>
      {problem && (
        <p role="alert" className="text-stop">
          {problem}
        </p>
      )}
      <button type="submit" className={buttonClass('now', 'min-h-14 w-full')}>
        Keep it
      </button>
    </form>
  );
}
