'use client';

import { Check, X } from 'lucide-react';
import { useState } from 'react';
import { liveEvents } from '@/core/counting/live';
import { longestText } from '@/core/counting/event';
import { feltOrigin } from '@/core/counting/origin';
import { buttonClass } from '@/ui/button';
import { Chip } from './chip';
import type { RunLog } from '@/court/run-log';
import type { BlockRun } from './use-block';

/** What is often worth a word: short, and never a reproach. */
const phrases = [
  'Best effort today',
  'Quiet hands',
  'Feet were early',
  'Helped a partner',
  'Tired today',
  'Ask about this next time',
] as const;

interface Props {
  readonly run: BlockRun;
  readonly log: RunLog;
  readonly whom: string | null;
}

/** Checkpoints that held or broke, and one note: one press each. */
export function LookAndSay({ run, log, whom }: Props) {
  const { block, drill, say } = run;
  const [note, setNote] = useState('');
  const events = liveEvents(log.events(block.id, whom));
  const stateOf = (checkpoint: string) =>
    events.findLast(
      ({ kind, text, origin }) =>
        (kind === 'held' || kind === 'broke') && text === checkpoint && origin !== feltOrigin,
    )?.kind;
  const notes = events.filter((event) => event.kind === 'note');
  const keep = (text: string) => {
    if (text.trim() === '') return;
    say({ playerId: whom, kind: 'note', text: text.trim() });
    setNote('');
  };
  return (
    <div className="space-y-3">
      <ul className="space-y-1.5">
        {drill.checkpoints.map((checkpoint) => (
          <li key={checkpoint} className="flex items-center gap-2">
            <span className="flex-1 text-base leading-tight">{checkpoint}</span>
            <Chip
              on={stateOf(checkpoint) === 'held'}
              label={`Held: ${checkpoint}`}
              onPress={() => say({ playerId: whom, kind: 'held', text: checkpoint.slice(0, longestText) })}
            >
              <Check aria-hidden size={18} /> Held
            </Chip>
            <Chip
              on={stateOf(checkpoint) === 'broke'}
              label={`Broke: ${checkpoint}`}
              onPress={() => say({ playerId: whom, kind: 'broke', text: checkpoint.slice(0, longestText) })}
            >
              <X aria-hidden size={18} /> Broke
            </Chip>
          </li>
        ))}
      </ul>
      <div role="group" aria-label="Note" className="flex flex-wrap gap-1.5">
        {phrases.map((phrase) => (
          <Chip key={phrase} onPress={() => keep(phrase)}>
            {phrase}
          </Chip>
        ))}
      </div>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          keep(note);
        }}
        className="flex gap-2"
      >
        <label className="flex flex-1 items-center gap-2 font-semibold">
          Own words
          <input
            value={note}
            maxLength={longestText}
            onChange={(event) => setNote(event.target.value)}
            className="min-h-12 min-w-0 flex-1 rounded-md border-2 border-edge bg-sheet px-3"
          />
        </label>
        <button type="submit" disabled={note.trim() === ''} className={buttonClass('plain', 'min-h-12')}>
          Keep note
        </button>
      </form>
      {notes.length > 0 && (
        <ul aria-label="Notes kept" className="text-soft">
          {notes.map((event) => (
            <li key={event.id}>“{event.text}”</li>
          ))}
        </ul>
      )}
    </div>
  );
}
