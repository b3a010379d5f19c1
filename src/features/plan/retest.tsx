'use client';

import { History } from 'lucide-react';
import { ulid } from 'ulid';
import type { Book } from '@/catalogue';
import type { PlanBlock } from '@/catalogue/plan';
import type { Measure } from '@/core/counting/measure';
import type { SessionPlanView } from '@/server/views/session-plan';
import { Button } from '@/ui/button';
import { shortDay } from '@/ui/dates';
import { addRetest, type Knows } from './edits';
import type { PlanStore } from './plan-store';

interface Props {
  readonly view: SessionPlanView;
  readonly book: Book;
  readonly knows: Knows;
  readonly store: PlanStore;
  readonly onAdded: (id: string) => void;
}

/** What tells most when it is done again: a row or a score before a count, a count before repetitions. */
const worth: readonly Measure[] = ['row', 'points', 'grade', 'lap', 'laps', 'count'];

/** The block of the last session that is best done again. */
export function retestOf(book: Book, blocks: readonly PlanBlock[]): PlanBlock | undefined {
  const rank = (block: PlanBlock) => {
    const step = book.step(block.drillId, block.stepId);
    const at = step ? worth.indexOf(step.measure) : -1;
    return at < 0 || book.drill(block.drillId)?.family === 'loosen' ? Infinity : at;
  };
  const best = [...blocks].sort((a, b) => rank(a) - rank(b))[0];
  return best && rank(best) < Infinity ? best : undefined;
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
