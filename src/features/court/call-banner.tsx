import { Footprints, Hand } from 'lucide-react';
import type { Cue } from '@/core/court/calls/timeline';
import { cx } from '@/ui/class-names';

const colours = {
  red: 'bg-[#a3122b] text-white',
  blue: 'bg-[#123f8c] text-white',
  green: 'bg-[#14532d] text-white',
  yellow: 'bg-[#f2c417] text-black',
} as const;

/** The call that stands, for those who cannot hear it: word, sign and colour, to be read from across a hall. */
export function CallBanner({ call, silent }: { call: Cue['call']; silent: boolean }) {
  return (
    <div
      data-call={call?.word ?? ''}
      aria-live="off"
      className={cx(
        'flex h-24 shrink-0 items-center justify-center gap-6 overflow-hidden rounded-md border-3 border-ink font-head text-7xl font-extrabold uppercase',
        call?.colour ? colours[call.colour] : call ? 'bg-ink text-paper' : 'bg-sheet text-soft',
      )}
    >
      {call ? (
        <>
          {call.sign === 'hand' ? (
            <Hand aria-hidden size={64} />
          ) : call.sign === 'foot' ? (
            <Footprints aria-hidden size={64} />
          ) : (
            <span aria-hidden className="text-6xl">
              {call.sign}
            </span>
          )}
          <span
            key={call.number}
            className={cx(call.more && 'text-5xl leading-none', call.word.length > 9 && 'max-md:text-3xl')}
          >
            {call.word}
            {call.more && (
              <span className="block font-body text-2xl font-semibold normal-case max-md:text-lg">
                {call.more}
              </span>
            )}
          </span>
        </>
      ) : (
        <span className="font-body text-2xl font-semibold normal-case">
          {silent ? 'Calls are shown here' : 'Calls are spoken, and shown here'}
        </span>
      )}
    </div>
  );
}
