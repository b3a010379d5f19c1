'use client';

import { Trash2 } from 'lucide-react';
import { removeNoteAction } from '@/server/actions';
import type { Note } from '@/server/views/facts';
import { ask, problemsText } from '@/ui/ask';
import { dayAt } from '@/ui/dates';
import { useNotice } from '@/ui/toast';

interface Props {
  readonly notes: readonly Note[];
  /** Whom or what a note is about, in a few words; empty where that is plain. */
  readonly aboutOf: (note: Note) => string;
}

/** Notes with what they are about; each can be removed, and that taken back. */
export function NoteList({ notes, aboutOf }: Props) {
  const notice = useNotice();
  const set = async (id: string, removed: boolean) => {
    const outcome = await ask(() => removeNoteAction(id, removed));
    if (!outcome.ok) return notice({ text: problemsText(outcome), tone: 'stop' });
    if (removed) notice({ text: 'Note removed.', undo: () => void set(id, false) });
  };
  if (notes.length === 0) return null;
  return (
    <ul>
      {notes.map((note) => (
        <li key={note.id} data-note className="flex items-start gap-1 border-t border-line py-1">
          <p className="min-w-0 flex-1 leading-snug break-words whitespace-pre-wrap">
            {aboutOf(note) && <strong>{aboutOf(note)}: </strong>}
            {note.text}{' '}
            <span className="text-sm whitespace-nowrap text-soft">
              {note.by ? `${note.by}, ` : ''}
              {dayAt(note.atMs)}
            </span>
          </p>
          <button
            type="button"
            onClick={() => void set(note.id, true)}
            aria-label={`Remove the note “${note.text.slice(0, 40)}”`}
            className="-my-1 inline-flex size-11 shrink-0 items-center justify-center rounded-md hover:bg-chalk"
          >
            <Trash2 aria-hidden size={16} />
          </button>
        </li>
      ))}
    </ul>
  );
}
