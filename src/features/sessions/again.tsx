'use client';

import { CalendarSync } from 'lucide-react';
import { useState } from 'react';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { usePart } from '@/ui/use-part';
import type { AgainOf } from './again-form';

const loadForm = () => import('./again-form');

interface Props extends AgainOf {
  /** Only the sign, where it stands in a list. */
  readonly small?: boolean;
}

/** Plans a session again: the same group and blocks on another day, or week by week. */
export function PlanAgain({ session, today, small = false }: Props) {
  const [open, setOpen] = useState(false);
  const form = usePart(loadForm, open);
  return (
    <>
      <Button
        look="quiet"
        onClick={() => setOpen(true)}
        aria-label={small ? `Plan ${session.title} again` : undefined}
        className={small ? 'min-w-11 justify-center px-2' : undefined}
      >
        <CalendarSync aria-hidden size={18} /> {!small && 'Again'}
      </Button>
      <Dialog
        open={open && form !== null}
        onOpenChange={setOpen}
        title={`${session.title} again`}
        intro="The same hour, place, group and blocks; everybody on the step they stand on by then."
      >
        {form && <form.AgainForm session={session} today={today} onDone={() => setOpen(false)} />}
      </Dialog>
    </>
  );
}
