'use client';

import { yupResolver } from '@hookform/resolvers/yup';
import { useForm } from 'react-hook-form';
import { BookingFields } from '@/features/plan/sessions/booking-fields';
import { bookingSchema, type BookingForm as Fields } from '@/schemas/booking';
import { Button } from '@/ui/button';
import type { PlanDoc } from './plan-store';

/** The fields of a booking, filled in. */
export function BookingForm({ doc, onDone }: { doc: PlanDoc; onDone: (fields: Fields) => void }) {
  const { blocks: _blocks, ...fields } = doc;
  const form = useForm<Fields>({ resolver: yupResolver(bookingSchema) as never, defaultValues: fields });
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
