'use client';

import { CalendarSync } from 'lucide-react';
import { useState } from 'react';
import { sameWeekdayAfter } from '@/core/plan/weekly';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { usePart } from '@/ui/use-part';
import type { AgainOf } from './again-form';
import { useClashes } from './clashes';

const loadForm = () => import('./again-form');

/** Plans a session again: the same group and blocks on another day, or week by week. */
export function PlanAgain({ session, today }: AgainOf) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look="quiet" onClick={() => setOpen(true)}>
        <CalendarSync aria-hidden size={18} /> Again
      </Button>
      <AgainDialog session={open ? session : null} today={today} onClose={() => setOpen(false)} />
    </>
  );
}

interface DialogProps extends Pick<AgainOf, 'today'> {
  /** What is planned again; null while nothing is. */
  readonly session: AgainOf['session'] | null;
  readonly onClose: () => void;
}

/** The sheet on which a session is planned again: one for a whole list. */
export function AgainDialog({ session, today, onClose }: DialogProps) {
  const form = usePart(loadForm, session !== null);
  // The day that is filled in is one on which nothing collides.
  const usual = session === null ? null : sameWeekdayAfter(session.day, today);
  const { found } = useClashes(usual === null ? null : { days: [usual], fromId: session!.id }, 0);
  return (
    <Dialog
      open={session !== null && form !== null && found !== null}
      onOpenChange={onClose}
      title={`${session?.title ?? ''} again`}
      intro="The same hour, place, group and blocks; everybody on the step they stand on by then."
    >
      {form && session && found && (
        <form.AgainForm session={session} today={today} freeDay={found.freeDay} onDone={onClose} />
      )}
    </Dialog>
  );
}
