'use client';

import { yupResolver } from '@hookform/resolvers/yup';
import { useRouter } from 'next/navigation';
import { useForm } from 'react-hook-form';
import { createSessionAction } from '@/server/actions';
import { sessionSchema, type SessionForm } from '@/schemas/session';
import type { PlayerName } from '@/server/views/facts';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ErrorNote } from '@/ui/field';
import { BookingFields, PlayersField } from './booking-fields';

/** The booking of a new session and who is coming; it opens the plan. */
export function NewSessionForm({ today, squad }: { today: string; squad: readonly PlayerName[] }) {
  const router = useRouter();
  const form = useForm<SessionForm>({
    resolver: yupResolver(sessionSchema) as never,
    defaultValues: {
      title: '',
      day: today,
      startTime: '16:30',
      bookedMin: 60,
      coach: '',
      placeName: '',
      placeId: null,
      airC: null,
      playerIds: [],
    },
  });
  const { errors, isSubmitting } = form.formState;
  const save = form.handleSubmit(async (values) => {
    const outcome = await ask(() => createSessionAction(values));
    if (outcome.ok) return router.push(`/sessions/${outcome.value.id}/plan`);
    for (const { field, message } of outcome.problems) {
      const own = field.split(/[.[]/)[0]!;
      form.setError(own in values ? (own as keyof SessionForm) : 'root', { message });
    }
  });
  return (
    <form onSubmit={save} noValidate className="grid grid-cols-2 gap-4">
      {errors.root?.message && (
        <div className="col-span-2">
          <ErrorNote>{errors.root.message}</ErrorNote>
        </div>
      )}
      <BookingFields form={form} />
      <PlayersField form={form} squad={squad} />
      <div className="col-span-2 flex justify-end">
        <Button type="submit" look="now" disabled={isSubmitting}>
          Open the plan
        </Button>
      </div>
    </form>
  );
}
