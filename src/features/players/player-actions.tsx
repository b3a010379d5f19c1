'use client';

import { Archive, ArchiveRestore, Pencil } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { PlayerFields } from './player-form';
import { removePlayerAction } from '@/server/actions';
import type { PlayerView } from '@/server/views/player';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { useNotice } from '@/ui/toast';
import { FitSheet } from './fit-sheet';

/** Change a player's facts, take them off the squad, or back on it. */
export function PlayerActions({ view }: { view: PlayerView }) {
  const [open, setOpen] = useState(false);
  const notice = useNotice();
  const router = useRouter();
  const { id, name } = view.facts;

  const set = async (removed: boolean) => {
    const outcome = await ask(() => removePlayerAction(id, removed));
    if (!outcome.ok) return notice({ text: outcome.problems[0]!.message, tone: 'stop' });
    if (removed) router.push('/squad');
    notice({
      text: removed
        ? `${name} was removed from the squad; all counts are kept.`
        : `${name} is back on the squad.`,
      ...(removed && { undo: () => void set(false) }),
    });
  };
  return (
    <>
      <FitSheet view={view} />
      <Button onClick={() => setOpen(true)}>
        <Pencil aria-hidden size={18} /> Change profile
      </Button>
      <Button look="quiet" onClick={() => void set(!view.removed)}>
        {view.removed ? <ArchiveRestore aria-hidden size={18} /> : <Archive aria-hidden size={18} />}
        {view.removed ? 'Back on the squad' : 'Remove from the squad'}
      </Button>
      <Dialog open={open} onOpenChange={setOpen} title={`Profile of ${name}`}>
        <PlayerFields year={view.year} player={{ id, form: view.form }} onDone={() => setOpen(false)} />
      </Dialog>
    </>
  );
}
