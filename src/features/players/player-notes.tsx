'use client';

import { NoteList } from '@/features/notes/note-list';
import { WriteNote } from '@/features/notes/write-note';
import type { PlayerView } from '@/server/views/player';
import { shortDay } from '@/ui/dates';
import { Sheet } from '@/ui/page-head';
import { useWholeBook } from '@/ui/whole-book';

/** What was written about a player, at the desk and on court. */
export function PlayerNotes({ view }: { readonly view: PlayerView }) {
  const book = useWholeBook();
  const { facts, notes, onCourt } = view;
  return (
    <Sheet className="p-3" aria-label="Notes" id="notes">
      <h2 className="text-lg">Notes</h2>
      <WriteNote about={[{ words: facts.name, sessionId: null, playerId: facts.id }]} />
      <NoteList notes={notes} aboutOf={() => ''} />
      {onCourt.length > 0 && (
        <ul aria-label="Noted on court">
          {onCourt.map(({ day, drillId, text }, index) => (
            <li key={index} className="border-t border-line py-1">
              <strong>{book.drill(drillId)?.title}:</strong> {text}{' '}
              <span className="text-sm text-soft">on court, {shortDay(day)}</span>
            </li>
          ))}
        </ul>
      )}
    </Sheet>
  );
}
