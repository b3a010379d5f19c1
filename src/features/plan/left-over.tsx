'use client';

import { Button } from '@/ui/button';
import { momentAt } from '@/ui/dates';

interface Props {
  readonly atMs: number;
  readonly takeUp: () => void;
  readonly drop: () => void;
}

/** Changes of an earlier page that never reached the server: put back on the plan, or dropped. */
export function LeftOver({ atMs, takeUp, drop }: Props) {
  return (
    <div
      role="status"
      className="mb-2 flex flex-wrap items-center gap-x-3 rounded-md border-2 border-care bg-care-bg px-3 py-1 text-care"
    >
      <p className="flex-1">
        Changes of {momentAt(atMs)} never reached the server; they are kept in this browser. Put back, they
        stand as one change, which Undo takes off again.
      </p>
      <Button onClick={takeUp}>Put them back</Button>
      <Button look="quiet" onClick={drop}>
        Drop them
      </Button>
    </div>
  );
}
