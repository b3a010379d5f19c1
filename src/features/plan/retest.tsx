'use client';

import { History } from 'lucide-react';
import { ulid } from 'ulid';
import type { Book } from '@/drills';
import type { SessionPlanView } from '@/server/views/session-plan';
import { Button } from '@/ui/button';
import { shortDay } from '@/ui/dates';
import { addRetest, type Knows } from '@/session/plan/edits';
import { retestOf } from '@/session/skill/retest';
import type { PlanStore } from './plan-store';

interface Props {
  readonly view: SessionPlanView;
  readonly book: Book;
  readonly knows: Knows;
  readonly store: PlanStore;
  readonly onAdded: (id: string) => void;
}

/** Opens the session with a retest of the last one, while it has none. */
export function Retest({ view, book, knows, store, onAdded }: Props) {
  const block = view.last && retestOf(book, view.last.blocks);
  const { doc } = store.state();
  if (!block || !view.last || doc.blocks.some((one) => one.retest)) return null;
  return (
    <Button
      className="mb-2 w-full justify-start px-2 text-left text-sm leading-tight"
      onClick={() => {
        const id = ulid();
        store.change((plan) => addRetest(knows, plan, block, id));
        onAdded(id);
      }}
    >
      <History aria-hidden size={18} className="shrink-0" />
      <span>
        Open with a retest: {book.drill(block.drillId)!.title} of {shortDay(view.last.day)}
      </span>
    </Button>
  );
}
