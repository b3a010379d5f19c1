'use client';

import { Trash2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { counted } from '@/core/base/words';
import { removePatternAction } from '@/server/actions';
import type { Pattern, PlayerName } from '@/server/views/facts';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';
import { NewSession } from './new-session';

interface Props {
  readonly patterns: readonly Pattern[];
  readonly today: string;
  readonly squad: readonly PlayerName[];
}

/** Plans kept by name: each can be started from, or removed. Nothing stands here while there is none. */
export function Patterns({ patterns, today, squad }: Props) {
  const notice = useNotice();
  const router = useRouter();
  const set = async (pattern: Pattern, removed: boolean) => {
    const { id, title } = pattern;
    const outcome = await ask(() => removePatternAction(id, removed));
    if (!outcome.ok) return notice({ text: problemsText(outcome), tone: 'stop' });
    router.refresh();
    if (removed) notice({ text: `Pattern ${title} removed.`, undo: () => void set(pattern, false) });
  };
  if (patterns.length === 0) return null;
  return (
    <Sheet className="mt-4 p-4" aria-label="Patterns">
      <h2 className="mb-1 text-lg">Patterns</h2>
      <ul>
        {patterns.map((pattern) => (
          <li
            key={pattern.id}
            data-pattern
            className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-line py-1"
          >
            <p className="min-w-48 flex-1">
              <strong>{pattern.title}</strong>{' '}
              <span className="text-sm text-soft">
                {pattern.bookedMin} min, {counted(pattern.drills.length, 'block')}:{' '}
                {pattern.drills.join(', ')}
              </span>
            </p>
            <NewSession today={today} squad={squad} patternId={pattern.id} button="Start from it" />
            <Button
              look="quiet"
              onClick={() => void set(pattern, true)}
              aria-label={`Remove ${pattern.title}`}
            >
              <Trash2 aria-hidden size={18} /> Remove
            </Button>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
