'use client';

import { useState } from 'react';
import { addNoteAction } from '@/server/actions';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { Field } from '@/ui/field';

/** Something a note can be about. */
export interface NoteAbout {
  readonly words: string;
  readonly sessionId: string | null;
  readonly blockId?: string | null;
  readonly playerId?: string | null;
}

interface Props {
  /** The first one is meant unless another is chosen. */
  readonly about: readonly NoteAbout[];
}

/** A line to write a note on. What cannot be saved stays where it was typed. */
export function WriteNote({ about }: Props) {
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const [problem, setProblem] = useState<string | undefined>();
  const [busy, setBusy] = useState(false);
  const chosen = about[Math.min(at, about.length - 1)]!;
  const write = async () => {
    const { sessionId, blockId = null, playerId = null } = chosen;
    setBusy(true);
    const outcome = await ask(() => addNoteAction({ sessionId, blockId, playerId, text }));
    setBusy(false);
    setProblem(outcome.ok ? undefined : problemsText(outcome));
    if (!outcome.ok) return;
    setText('');
  };
  return (
    <form
      noValidate
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (!busy) void write();
      }}
    >
      {about.length > 1 && (
        <Field label="About">
          <select value={at} onChange={(event) => setAt(Number(event.target.value))}>
            {about.map(({ words }, index) => (
              <option key={words} value={index}>
                {words}
              </option>
            ))}
          </select>
        </Field>
      )}
      <div className="flex items-start gap-2">
        <Field label="A note" error={problem} className="min-w-0 flex-1">
          <input value={text} onChange={(event) => setText(event.target.value)} autoComplete="off" />
        </Field>
        <Button type="submit" className="mt-7" disabled={busy}>
          Write
        </Button>
      </div>
    </form>
  );
}
