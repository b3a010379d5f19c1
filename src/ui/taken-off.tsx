'use client';

import { ArchiveRestore } from 'lucide-react';
import { useRouter } from 'next/navigation';
import type { Outcome } from '@/core/base/outcome';
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

/** What was removed from a list, whenever that was: each can be brought back. Nothing stands here while there is nothing. */
export function TakenOffList(props: Props) {
  if (props.items.length === 0) return null;
  return (
    <Sheet className="mt-4 p-3 print:hidden" aria-label="Removed">
      <details>
        <summary className="min-h-11 cursor-pointer content-center font-semibold">
          Removed: {props.items.length}
        </summary>
        <TakenOffRows {...props} />
      </details>
    </Sheet>
  );
}

/** One row for each thing removed. */
export function TakenOffRows({ items, setRemoved }: Props) {
  const notice = useNotice();
  const router = useRouter();
  const back = async (id: string, name: string) => {
    const outcome = await ask(() => setRemoved(id, false));
    if (!outcome.ok) return notice({ text: problemsText(outcome), tone: 'stop' });
    notice({ text: `${name} is back on the list.` });
    router.refresh();
  };
  return (
    <ul className="mt-2">
      {items.map(({ id, name, removedAtMs }) => (
        <li key={id} className="flex items-center gap-3 border-t border-line py-1">
          <span className="flex-1">
            {name} <span className="text-sm text-soft">removed {dayAt(removedAtMs)}</span>
          </span>
          <Button look="quiet" onClick={() => void back(id, name)}>
            <ArchiveRestore aria-hidden size={18} /> Bring back <span className="sr-only">{name}</span>
          </Button>
        </li>
      ))}
    </ul>
  );
}
