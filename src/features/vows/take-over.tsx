'use client';

import { useState, type FormEvent } from 'react';
import { counted } from '@/core/base/words';
import { takeOverTextAction, undoTextAction, weighTextAction } from '@/server/actions/vows';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ErrorNote, Field } from '@/ui/field';
import { useNotice } from '@/ui/toast';

type Weighed = Extract<Awaited<ReturnType<typeof weighTextAction>>, { ok: true }>['value'];

/** Pasting or dropping the text a file from home gave back: looked at first, taken over once. */
export function TakeOver({ onDone }: { readonly onDone: () => void }) {
  const notice = useNotice();
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [weighed, setWeighed] = useState<Weighed | null>(null);
  const change = (next: string) => {
    setText(next);
    setWeighed(null);
    setProblem(null);
  };
  const look = async (event: FormEvent) => {
    event.preventDefault();
    const outcome = await ask(() => weighTextAction(text));
    setProblem(outcome.ok ? null : problemsText(outcome));
    if (outcome.ok) setWeighed(outcome.value);
  };
  const take = async () => {
    const outcome = await ask(() => takeOverTextAction(text));
    if (!outcome.ok) return setProblem(problemsText(outcome));
    const { fresh, name, ids } = outcome.value;
    const undo = async () => {
      const undone = await ask(() => undoTextAction(ids));
      notice(
        undone.ok
          ? { text: 'Taken back; the log keeps both.' }
          : { text: problemsText(undone), tone: 'stop' },
      );
    };
    notice({ text: `${counted(fresh, 'mark')} of ${name} taken over.`, undo: () => void undo() });
    onDone();
  };
  return (
    <form onSubmit={(event) => void look(event)} className="space-y-4">
      {problem && <ErrorNote>{problem}</ErrorNote>}
      <Field label="The text, or drop its file here">
        <textarea
          rows={6}
          value={text}
          onChange={(event) => change(event.target.value)}
          onDrop={(event) => {
            const file = event.dataTransfer.files[0];
            if (!file) return;
            event.preventDefault();
            void file.text().then(change);
          }}
          className="font-mono text-sm"
        />
      </Field>
      {weighed ? (
        <div className="space-y-3" role="status">
          <p>
            {weighed.fresh === 0
              ? `All of it is in the book already: ${counted(weighed.marks, 'mark')} of ${weighed.name}.`
              : `It adds ${counted(weighed.fresh, 'mark')} to ${weighed.name}${weighed.fresh < weighed.marks ? `; ${weighed.marks - weighed.fresh} are in the book already` : ''}.`}
          </p>
          <div className="flex justify-end">
            {weighed.fresh > 0 ? (
              <Button look="now" onClick={() => void take()}>
                Take it over
              </Button>
            ) : (
              <Button onClick={onDone}>Close</Button>
            )}
          </div>
        </div>
      ) : (
        <div className="flex justify-end">
          <Button type="submit" look="now" disabled={text.trim() === ''}>
            Look at it
          </Button>
        </div>
      )}
    </form>
  );
}
