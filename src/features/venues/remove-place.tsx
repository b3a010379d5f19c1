'use client';

import { Archive } from 'lucide-react';
import { removePlaceAction } from '@/server/actions';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { useNotice } from '@/ui/toast';

/** Takes a place off the list; sessions keep its name, and it can come back. */
export function RemovePlace({ id, name }: { id: string; name: string }) {
  const notice = useNotice();
  const set = async (removed: boolean) => {
    const outcome = await ask(() => removePlaceAction(id, removed));
    notice(
      outcome.ok
        ? {
            text: removed ? `${name} was removed.` : `${name} is back on the list.`,
            ...(removed && { undo: () => void set(false) }),
          }
        : { text: problemsText(outcome), tone: 'stop' },
    );
  };
  return (
    <Button look="quiet" onClick={() => void set(true)}>
      <Archive aria-hidden size={18} /> Remove <span className="sr-only">{name}</span>
    </Button>
  );
}
