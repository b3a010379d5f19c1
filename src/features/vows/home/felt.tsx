'use client';

import { Frown, Meh, Smile } from 'lucide-react';
import { useState } from 'react';
import { longestText } from '@/core/counting/event';
import { buttonClass } from '@/ui/button-class';

interface Props {
  readonly felt: number | null;
  readonly text: string;
  readonly onSay: (felt: number | null, text: string) => void;
}

const faces = [
  { value: 3, word: 'Easy', Face: Smile },
  { value: 2, word: 'Just right', Face: Meh },
  { value: 1, word: 'Hard', Face: Frown },
] as const;

/** How a day felt, and a line to the coach. */
export function Felt({ felt, text, onSay }: Props) {
  const [line, setLine] = useState('');
  return (
    <fieldset className="space-y-2">
      <legend className="text-lg font-semibold">How did it feel?</legend>
      <div className="grid grid-cols-3 gap-2">
        {faces.map(({ value, word, Face }) => (
          <button
            key={value}
            type="button"
            aria-pressed={felt === value}
            onClick={() => onSay(value, '')}
            className={buttonClass(
              'plain',
              felt === value
                ? 'min-h-20 flex-col gap-0 border-ink! bg-ink! text-paper!'
                : 'min-h-20 flex-col gap-0',
            )}
          >
            <Face aria-hidden size={30} />
            <span>{word}</span>
          </button>
        ))}
      </div>
      <label className="block text-base">
        A line to the coach
        <input
          value={line}
          maxLength={longestText}
          onChange={(event) => setLine(event.target.value)}
          className="mt-1 min-h-14 w-full rounded-md border-2 border-edge bg-sheet px-3 text-lg"
        />
      </label>
      {text && <p className="text-base text-soft">You wrote: “{text}”</p>}
      {line.trim() !== '' && (
        <button
          type="button"
          onClick={() => {
            onSay(null, line.trim());
            setLine('');
          }}
          className={buttonClass('plain', 'min-h-14 w-full')}
        >
          Send the line
        </button>
      )}
    </fieldset>
  );
}
