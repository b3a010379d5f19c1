'use client';

import { ArchiveRestore } from 'lucide-react';
import { useRouter } from 'next/navigation';
import type { Outcome } from '@/core/outcome';
import { ask, problemsText } from './ask';
import { Button } from './button';
import { dayAt } from './dates';
import { Sheet } from './page-head';
import { useNotice } from './toast';

interface Props {
  readonly items: readonly { readonly id: string; readonly name: string; readonly removedAtMs: number }[];
  /** Takes one off the list, or back on it. */
  readonly setRemoved: (id: string, removed: boolean) => Promise<Outcome<unknown>>;
}

/** What was taken off a list, whenever that was: each can be brought back. Nothing stands here while there is nothing. */
export function TakenOffList({ items, setRemoved }: Props) {
  const notice = useNotice();
  const router = useRouter();
  if (items.length === 0) return null;
  const back = async (id: string, name: string) => {
    const outcome = await ask(() => setRemoved(id, false));
    if (!outcome.ok) return notice({ text: problemsText(outcome), tone: 'stop' });
    notice({ text: `${name} is back on the list.` });
    router.refresh();
  };
  return (
    <Sheet className="mt-4 p-3" aria-label="Taken off the list">
      <details>
        <summary className="min-h-8 cursor-pointer font-semibold">Taken off the list: {items.length}</summary>
        <ul className="mt-2">
          {items.map(({ id, name, removedAtMs }) => (
            <li key={id} className="flex items-center gap-3 border-t border-line py-1">
              <span className="flex-1">
                {name} <span className="text-sm text-soft">off since {dayAt(removedAtMs)}</span>
              </span>
              <Button look="quiet" onClick={() => void back(id, name)}>
                <ArchiveRestore aria-hidden size={18} /> Bring back <span className="sr-only">{name}</span>
              </Button>
            </li>
          ))}
        </ul>
      </details>
    </Sheet>
  );
}
