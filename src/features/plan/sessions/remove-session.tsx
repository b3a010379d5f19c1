'use client';

import { Archive, ArchiveRestore } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { removeSessionAction } from '@/server/actions';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { useNotice } from '@/ui/toast';

/** Takes a session off the list. It is kept, and can be put back. */
export function RemoveSession({ id, title, removed }: { id: string; title: string; removed: boolean }) {
  const notice = useNotice();
  const router = useRouter();
  const set = async (gone: boolean) => {
    const outcome = await ask(() => removeSessionAction(id, gone));
    if (!outcome.ok) return notice({ text: outcome.problems[0]!.message, tone: 'stop' });
    if (gone) router.push('/sessions');
    else router.refresh();
    notice({
      text: gone ? `${title} was removed.` : `${title} is back on the list.`,
      ...(gone && { undo: () => void set(false) }),
    });
  };
  return (
    <Button look="quiet" onClick={() => void set(!removed)}>
      {removed ? <ArchiveRestore aria-hidden size={18} /> : <Archive aria-hidden size={18} />}
      {removed ? 'Bring back' : 'Remove'}
    </Button>
  );
}
