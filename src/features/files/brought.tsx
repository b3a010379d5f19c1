'use client';

import { Undo2 } from 'lucide-react';
import { useState } from 'react';
import { undoTakeOverAction } from '@/server/actions/doors';
import type { FilesView } from '@/server/views/files';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { momentAt } from '@/ui/dates';
import { Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';

/** Files that were brought in lately: each can be taken back as a whole, while nothing of it was changed. */
export function Brought({
  brought,
  zone,
}: {
  readonly brought: FilesView['brought'];
  readonly zone?: string;
}) {
  const notice = useNotice();
  const [busy, setBusy] = useState(false);
  const undo = async (id: string, name: string) => {
    setBusy(true);
    const outcome = await ask(() => undoTakeOverAction(id));
    setBusy(false);
    notice(
      outcome.ok
        ? { text: `All that ${name} brought in is taken back.` }
        : { text: problemsText(outcome), tone: 'stop' },
    );
  };
  return (
    <Sheet className="p-4" aria-label="Brought in lately">
      <h2 className="text-lg">Brought in lately</h2>
      <ul>
        {brought.map(({ id, atMs, name }) => (
          <li
            key={id}
            className="flex flex-wrap items-center gap-x-4 border-t border-line py-1.5"
            data-brought
          >
            <p className="min-w-48 flex-1">
              <span className="font-semibold break-all">{name}</span>
              <span className="block text-sm text-soft">{momentAt(atMs, zone)}</span>
            </p>
            <Button look="quiet" disabled={busy} onClick={() => void undo(id, name)}>
              <Undo2 aria-hidden size={16} /> Take it back<span className="sr-only"> {name}</span>
            </Button>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
