'use client';

import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import type { PlanStore } from './plan-store';

/** Two windows changed one plan: the coach says which stands. Undo brings the other back. */
export function Conflict({ store, open }: { store: PlanStore; open: boolean }) {
  return (
    <Dialog
      open={open}
      onOpenChange={() => undefined}
      title="Changed in another window"
      intro="This plan was changed and saved elsewhere while you were at it. Yours is still here; choose which one stands."
    >
      <div className="flex flex-wrap justify-end gap-2">
        <Button onClick={() => void store.takeTheirs()}>Take the other plan</Button>
        <Button look="now" onClick={() => void store.keepMine()}>
          Keep mine
        </Button>
      </div>
    </Dialog>
  );
}
