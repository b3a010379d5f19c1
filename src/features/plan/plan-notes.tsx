'use client';

import { useEffect, useState } from 'react';
import { NoteList } from '@/features/notes/note-list';
import { WriteNote } from '@/features/notes/write-note';
import type { Book } from '@/drills';
import { recapInWords, recapQuestions } from '@/core/base/recap';
import type { PlanBlock } from '@/session/base/plan';
import { planNotesAction } from '@/server/actions';
import type { SessionPlanView } from '@/server/views/session-plan';
import { shortDay } from '@/ui/dates';

type Known = Awaited<ReturnType<typeof planNotesAction>>;

interface Props {
  readonly view: SessionPlanView;
  readonly book: Book;
  readonly playerIds: readonly string[];
  readonly blocks: readonly PlanBlock[];
  /** The block that is open: a note can be about it. */
  readonly block: PlanBlock | undefined;
}

/** What was written last time and about who comes, and what is to be remembered this time. */
export function PlanNotes({ view, book, playerIds, blocks, block }: Props) {
  const [known, setKnown] = useState<Known | null>(null);
  const ids = playerIds.join(' ');
  // Asked again with every note that is written or removed: the page then brings its own notes anew.
  useEffect(() => {
    let here = true;
    planNotesAction(view.session.id, ids.split(' ')).then(
      (found) => here && setKnown(found),
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, [view, ids]);
  const before = known?.before;
  const nameOf = (id: string | null) => view.squad.find((player) => player.id === id)?.name ?? '';
  const titleOf = (drillId: string | null | undefined) => (drillId ? book.drill(drillId)?.title : '') ?? '';
  const drillOf = (blockId: string | null) => blocks.find((one) => one.id === blockId)?.drillId;
  const own = (known?.players ?? []).filter(({ sessionId }) => sessionId !== view.session.id);
  const about = [
    { words: 'this session', sessionId: view.session.id },
    ...(block
      ? [{ words: titleOf(block.drillId) || 'this block', sessionId: view.session.id, blockId: block.id }]
      : []),
    ...playerIds.map((playerId) => ({ words: nameOf(playerId), sessionId: null, playerId })),
  ];
  return (
    <div
      tabIndex={0}
      role="group"
      aria-label="Notes"
      className="min-h-0 flex-1 space-y-3 overflow-y-auto pr-1"
    >
      <WriteNote about={about} />
      <NoteList
        notes={view.notes}
        aboutOf={({ blockId, playerId }) => titleOf(drillOf(blockId)) || nameOf(playerId)}
      />
      {known === null && <p className="text-soft">Looking for notes from before…</p>}
      {before && (
        <section data-before>
          <h2 className="text-lg">Last time, {shortDay(before.day)}</h2>
          <ul>
            {recapQuestions.map((question) =>
              before.answers[question] ? (
                <li key={question} className="border-t border-line py-1">
                  <strong>{recapInWords[question]}</strong> {before.answers[question]}
                </li>
              ) : null,
            )}
            {before.notes.map(({ drillId, playerId, text }, index) => (
              <li key={index} className="border-t border-line py-1">
                <strong>{[titleOf(drillId), nameOf(playerId)].filter(Boolean).join(', ')}</strong> {text}
              </li>
            ))}
          </ul>
        </section>
      )}
      {own.length > 0 && (
        <section>
          <h2 className="text-lg">About who comes</h2>
          <NoteList notes={own} aboutOf={({ playerId }) => nameOf(playerId)} />
        </section>
      )}
    </div>
  );
}
