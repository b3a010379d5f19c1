'use client';

import { UnfoldHorizontal } from 'lucide-react';
import { useState } from 'react';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { usePart } from '@/ui/use-part';
import type { FitFormProps } from './fit-form';

const loadForm = () => import('./fit-form');

/** Opens what would bring the plan to its booking; nothing changes before that is agreed to. */
export function FitBooking(props: Omit<FitFormProps, 'onDone'>) {
  const [open, setOpen] = useState(false);
  const form = usePart(loadForm, open);
  return (
    <>
      <Button className="px-3 text-sm" onClick={() => setOpen(true)}>
        <UnfoldHorizontal aria-hidden size={18} /> Fit to the booking
      </Button>
      <Dialog
        open={open && form !== null}
        onOpenChange={setOpen}
        title="Fit to the booking"
        startsAtField={false}
      >
        {form && <form.FitForm {...props} onDone={() => setOpen(false)} />}
      </Dialog>
    </>
  );
}
