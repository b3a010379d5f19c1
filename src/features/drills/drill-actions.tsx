'use client';

import { CalendarPlus, Download, Pencil, Shuffle, Trash2, Undo2 } from 'lucide-react';
import { useState } from 'react';
import type { Drill } from '@/drills/base/types';
import { addToSessionAction, removeDrillAction } from '@/server/actions';
import type { DrillView } from '@/server/views/drills';
import { ask, problemsText } from '@/ui/ask';
import { Button, buttonClass } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { shortDay } from '@/ui/dates';
import { useNotice } from '@/ui/toast';

/** What can be done with a drill: put it into a session, vary it, take it away. */
export function DrillActions({ view, drill }: { view: DrillView; drill: Drill }) {
  const [sessionId, setSessionId] = useState(view.sessions[0]?.id ?? '');
  const [busy, setBusy] = useState(false);
  const notice = useNotice();
  const add = async () => {
    setBusy(true);
    const outcome = await ask(() => addToSessionAction(sessionId, drill.id));
    setBusy(false);
    const session = view.sessions.find((one) => one.id === sessionId);
    notice(
      outcome.ok
        ? { text: `${drill.title} is at the end of ${session?.title}.` }
        : { text: problemsText(outcome), tone: 'stop' },
    );
  };
  const remove = async (removed: boolean) => {
    const outcome = await ask(() => removeDrillAction(drill.id, removed));
    if (!outcome.ok) return notice({ text: problemsText(outcome), tone: 'stop' });
    notice({
      text: removed ? `${drill.title} was removed.` : `${drill.title} is back on the list.`,
      ...(removed && { undo: () => void remove(false) }),
    });
  };
  return (
    <>
      {view.own && !view.retired && (
        <ButtonLink look="quiet" href={`/drills/${drill.id}/edit`}>
          <Pencil aria-hidden size={18} /> Change
        </ButtonLink>
      )}
      {view.own && (
        <Button look="quiet" onClick={() => void remove(!view.retired)}>
          {view.retired ? <Undo2 aria-hidden size={18} /> : <Trash2 aria-hidden size={18} />}
          {view.retired ? 'Bring back' : 'Remove'}
        </Button>
      )}
      <ButtonLink look="quiet" href={`/drills/new?vary=${drill.id}`}>
        <Shuffle aria-hidden size={18} /> Vary it
      </ButtonLink>
      <a href={`/api/drills?id=${drill.id}`} download className={buttonClass('quiet')}>
        <Download aria-hidden size={18} /> Take away
      </a>
      {view.sessions.length > 0 && !view.retired && (
        <span className="flex items-center gap-1">
          <label>
            <span className="sr-only">Session</span>
            <select
              value={sessionId}
              onChange={(event) => setSessionId(event.target.value)}
              className="min-h-11 max-w-52 rounded-md border-2 border-edge bg-sheet px-2"
            >
              {view.sessions.map((session) => (
                <option key={session.id} value={session.id}>
                  {shortDay(session.day)} {session.title}
                </option>
              ))}
            </select>
          </label>
          <Button look="now" onClick={() => void add()} disabled={busy}>
            <CalendarPlus aria-hidden size={18} /> Add to session
          </Button>
        </span>
      )}
    </>
  );
}
