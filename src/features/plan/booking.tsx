'use client';

import { Pencil } from 'lucide-react';
import { useState } from 'react';
import type { BookingForm } from '@/schemas/booking';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { usePart } from '@/ui/use-part';
import type { PlanDoc } from './plan-store';

const loadForm = () => import('./booking-form');

/** Changes the booking of a plan: title, day, time, minutes, place, coach. */
export function Booking({ doc, onChange }: { doc: PlanDoc; onChange: (fields: BookingForm) => void }) {
  const [open, setOpen] = useState(false);
  const form = usePart(loadForm, open);
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <Pencil aria-hidden size={18} /> Booking
      </Button>
      <Dialog open={open && form !== null} onOpenChange={setOpen} title="Booking">
        {form && (
          <form.BookingForm
            doc={doc}
            onDone={(fields) => {
              onChange(fields);
              setOpen(false);
            }}
          />
        )}
      </Dialog>
    </>
  );
}
