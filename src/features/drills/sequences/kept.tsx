'use client';

import { Save, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { knownSequences } from '@/drills/sequences';
import { removeSequenceAction, saveSequenceAction } from '@/server/actions';
import type { SavedSequence, SequencesView } from '@/server/views/sequences';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ErrorNote } from '@/ui/field';
import { Sheet } from '@/ui/page-head';
import { TakenOffList } from '@/ui/taken-off';
import { useNotice } from '@/ui/toast';
import type { Draft, Sequence } from './use-sequence';

interface Props {
  readonly view: SequencesView;
  readonly sequence: Sequence;
  /** The kept sequence that is being changed; null for a new one. */
  readonly kept: SavedSequence | null;
  readonly onBegin: (next: Omit<Draft, 'text'> & { line: string }) => void;
}

/** Sequences to begin with, and the coach’s own: kept by name, changed, taken off and brought back. */
export function Kept({ view, sequence, kept, onBegin }: Props) {
  const notice = useNotice();
  const { draft, problems, change } = sequence;
  const [problem, setProblem] = useState<string | null>(null);
  const save = async (id?: string) => {
    const { name, sport, ground, text } = draft;
    const outcome = await ask(() => saveSequenceAction({ name, sport, ground, line: text }, id));
    setProblem(outcome.ok ? null : problemsText(outcome));
    if (!outcome.ok) return;
    change({ id: outcome.value.id });
    notice({ text: id ? `“${name.trim()}” is changed.` : `“${name.trim()}” is kept.` });
  };
  const remove = async (one: SavedSequence) => {
    const outcome = await ask(() => removeSequenceAction(one.id, true));
    if (!outcome.ok) return setProblem(problemsText(outcome));
    if (draft.id === one.id) change({ id: null });
    notice({
      text: `“${one.name}” was removed.`,
      undo: () => void ask(() => removeSequenceAction(one.id, false)),
    });
  };
  const own = view.sequences.filter(({ sport }) => sport === draft.sport);
  return (
    <Sheet className="p-3 text-sm" aria-label="Kept sequences">
      <label className="block font-semibold">
        Begin with
        <select
          value=""
          onChange={(event) => {
            const known = knownSequences.find(({ id }) => id === event.target.value);
            if (known) onBegin({ ...known, id: null });
          }}
          className="min-h-9 touch:min-h-11 w-full rounded-md border-2 border-edge bg-sheet px-2 font-normal"
        >
          <option value="">one of the catalogue…</option>
          {knownSequences
            .filter(({ sport }) => sport === draft.sport)
            .map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
        </select>
      </label>
      <label className="mt-2 block font-semibold">
        Name
        <input
          value={draft.name}
          autoComplete="off"
          maxLength={80}
          onChange={(event) => change({ name: event.target.value })}
          className="min-h-9 touch:min-h-11 w-full rounded-md border-2 border-edge bg-sheet px-2 font-normal"
        />
      </label>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button
          className="min-h-9 touch:min-h-11 px-3"
          disabled={problems.length > 0}
          onClick={() => void save(kept?.id)}
        >
          <Save aria-hidden size={16} /> {kept ? 'Change it' : 'Keep it'}
        </Button>
        {kept && (
          <Button
            look="quiet"
            className="min-h-9 touch:min-h-11 px-2"
            disabled={problems.length > 0}
            onClick={() => void save()}
          >
            Keep as another
          </Button>
        )}
      </div>
      {problem && <ErrorNote>{problem}</ErrorNote>}
      <h2 className="mt-3 text-base">Kept</h2>
      <ul>
        {own.map((one) => (
          <li key={one.id} className="flex items-center justify-between gap-2 border-t border-line">
            <button
              type="button"
              aria-current={one.id === draft.id || undefined}
              onClick={() => onBegin(one)}
              className="min-h-9 touch:min-h-11 min-w-0 flex-1 text-left font-semibold underline decoration-dotted underline-offset-4 hover:bg-chalk"
            >
              {one.name}
            </button>
            <Button
              look="quiet"
              className="min-h-9 touch:min-h-11 px-2"
              aria-label={`Remove ${one.name}`}
              onClick={() => void remove(one)}
            >
              <Trash2 aria-hidden size={16} />
            </Button>
          </li>
        ))}
      </ul>
      {own.length === 0 && <p className="text-soft">None of this sport yet: name one and keep it.</p>}
      <TakenOffList items={view.takenOff} setRemoved={removeSequenceAction} />
    </Sheet>
  );
}
