'use client';

import { useId, useState } from 'react';
import { Button } from '@/ui/button';
import { cx } from '@/ui/class-names';

/** A block is at least half a minute and at most an hour long: ours. */
const least = 0.5;
const most = 60;

interface Props {
  /** Seconds it takes now. */
  readonly totalS: number;
  readonly disabled: boolean;
  /** Makes it the length nearest to so many seconds; false where it is the nearest already. */
  readonly onLength: (seconds: number) => boolean;
}

/** Gives a block a length in minutes: rounds, sets or rows are found that make it. */
export function LengthForm({ totalS, disabled, onLength }: Props) {
  const id = useId();
  const [text, setText] = useState('');
  const [said, setSaid] = useState<{ readonly text: string; readonly wrong: boolean } | null>(null);
  const make = () => {
    const minutes = Number(text.replace(',', '.'));
    if (text.trim() === '' || !(minutes >= least && minutes <= most))
      return setSaid({ text: `Length must be from ½ to ${most} minutes, such as 8.`, wrong: true });
    const changed = onLength(minutes * 60);
    setText('');
    setSaid(changed ? null : { text: 'That is as near as this drill comes.', wrong: false });
  };
  return (
    <form
      noValidate
      className="flex flex-wrap items-center gap-x-2 text-sm"
      onSubmit={(event) => {
        event.preventDefault();
        make();
      }}
    >
      <label htmlFor={id} className="font-semibold">
        Length, min
      </label>
      <input
        id={id}
        value={text}
        disabled={disabled}
        inputMode="decimal"
        autoComplete="off"
        placeholder={String(Math.round(totalS / 30) / 2)}
        onChange={(event) => setText(event.target.value)}
        aria-invalid={said?.wrong ? true : undefined}
        aria-describedby={said ? `${id}-said` : undefined}
        className="tabular min-h-11 w-16 rounded-md border-2 border-edge bg-sheet px-2 disabled:opacity-60 aria-[invalid=true]:border-stop aria-[invalid=true]:bg-stop-bg"
      />
      <Button type="submit" className="px-3 text-sm" disabled={disabled}>
        Make it
      </Button>
      {said && (
        <span
          id={`${id}-said`}
          role="status"
          className={cx('font-semibold', said.wrong ? 'text-stop' : 'text-soft')}
        >
          {said.text}
        </span>
      )}
    </form>
  );
}
