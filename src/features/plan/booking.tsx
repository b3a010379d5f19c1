'use client';

import { yupResolver } from '@hookform/resolvers/yup';
import { Pencil } from 'lucide-react';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { BookingFields } from '@/features/sessions/booking-fields';
import { sessionSchema, type SessionForm } from '@/schemas/session';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import type { PlanDoc } from './plan-store';

/** Changes the booking of a plan: title, day, time, minutes, place, coach. */
export function Booking({ doc, onChange }: { doc: PlanDoc; onChange: (fields: SessionForm) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <Pencil aria-hidden size={18} /> Booking
      </Button>
      <Dialog open={open} onOpenChange={setOpen} title="Booking">
        <BookingForm
          doc={doc}
          onDone={(fields) => {
            onChange(fields);
            setOpen(false);
          }}
        />
      </Dialog>
    </>
  );
}

function BookingForm({ doc, onDone }: { doc: PlanDoc; onDone: (fields: SessionForm) => void }) {
  const { blocks: _blocks, ...fields } = doc;
  const form = useForm<SessionForm>({ resolver: yupResolver(sessionSchema) as never, defaultValues: fields });
  return (
    <form onSubmit={form.handleSubmit(onDone)} noValidate className="grid grid-cols-2 gap-4">
      <BookingFields form={form} />
      <div className="col-span-2 flex justify-end">
        <Button type="submit" look="now">
          Change the booking
        </Button>
      </div>
    </form>
  );
}
