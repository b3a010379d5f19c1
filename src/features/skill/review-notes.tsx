'use client';

import { NoteList } from '@/features/notes/note-list';
import { Recap } from '@/features/notes/recap';
import { WriteNote } from '@/features/notes/write-note';
import type { Book } from '@/drills';
import type { SessionReviewView } from '@/server/views/session-review';
import { Sheet } from '@/ui/page-head';

interface Props {
  readonly view: SessionReviewView;
  readonly book: Book;
  /** The block that is shown: a note can be about it. */
  readonly block: SessionReviewView['blocks'][number] | undefined;
}

/** The recap of a session, and the notes on it: what the next plan begins with. */
export function ReviewNotes({ view, book, block }: Props) {
  const { session, written, players } = view;
  const titleOf = (blockId: string | null) => {
    const drillId = view.blocks.find((one) => one.id === blockId)?.drillId;
    return (drillId && book.drill(drillId)?.title) || '';
  };
  const nameOf = (id: string | null) => players.find((player) => player.id === id)?.name ?? '';
  const about = [
    { words: 'the session', sessionId: session.id },
    ...(block
      ? [{ words: titleOf(block.id) || 'this block', sessionId: session.id, blockId: block.id }]
      : []),
    ...players.map(({ id, name }) => ({ words: name, sessionId: session.id, playerId: id })),
  ];
  return (
    <Sheet className="space-y-3 p-3" aria-label="Recap and notes">
      <h2 className="text-lg">Recap</h2>
      <Recap sessionId={session.id} answers={written.answers} />
      <h2 className="text-lg">Notes</h2>
      <WriteNote about={about} />
      <NoteList
        notes={written.notes}
        aboutOf={({ blockId, playerId }) => [titleOf(blockId), nameOf(playerId)].filter(Boolean).join(', ')}
      />
    </Sheet>
  );
}
