'use client';

import { yupResolver } from '@hookform/resolvers/yup';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { createSessionAction } from '@/server/actions';
import { sessionSchema, type SessionForm } from '@/schemas/booking';
import type { Group } from '@/server/views/groups';
import type { Pattern, PlayerName } from '@/server/views/facts';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ErrorNote, Field } from '@/ui/field';
import { useHouse } from '@/ui/house';
import { askedOf, bookingLabel, ClashNote, useClashes } from './clashes';
import { BookingFields, PlayersField, type BookingInHand } from './booking-fields';

/** The booking of a new session and who is coming; it opens the plan. */
export function NewSessionForm({
  today,
  squad,
  groups,
  patterns,
  patternId,
}: {
  today: string;
  squad: readonly PlayerName[];
  groups: readonly Group[];
  patterns: readonly Pattern[];
  /** The pattern that is chosen at first. */
  patternId: string | null;
}) {
  const router = useRouter();
  const { places } = useHouse();
  // What was the same the last time is filled in; the only place there is, too.
  const last = groups[0];
  const chosen = patterns.find(({ id }) => id === patternId);
  const form = useForm<SessionForm>({
    resolver: yupResolver(sessionSchema) as never,
    defaultValues: {
      title: '',
      day: today,
      startTime: last?.startTime ?? '16:30',
      bookedMin: chosen?.bookedMin ?? last?.bookedMin ?? 60,
      coach: last?.coach ?? '',
      placeName: '',
      placeId: (places.length === 1 ? places[0]!.id : last?.placeId) ?? null,
      airC: null,
      playerIds: [],
      patternId,
    },
  });
  const { errors, isSubmitting } = form.formState;
  const clashes = useClashes(askedOf(useWatch({ control: form.control })));
  // The plan takes a moment to open: a second press in it would book a second session.
  const [booked, setBooked] = useState(false);
  const save = form.handleSubmit(async (values) => {
    if (!(await clashes.seen())) return;
    const outcome = await ask(() => createSessionAction(values));
    if (outcome.ok) {
      setBooked(true);
      return router.push(`/sessions/${outcome.value.id}/plan`);
    }
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
      {groups.length > 0 && (
        <Field label="Group" hint="As it last met; everything can be changed.">
          <select
            defaultValue=""
            onChange={(event) => {
              const group = groups.find(({ title }) => title === event.target.value);
              const { day, airC, patternId: from } = form.getValues();
              if (group)
                form.reset({ ...group, playerIds: [...group.playerIds], day, airC, patternId: from });
            }}
          >
            <option value="">a new group</option>
            {groups.map(({ title }) => (
              <option key={title}>{title}</option>
            ))}
          </select>
        </Field>
      )}
      {patterns.length > 0 && (
        <Field
          label="Start from"
          hint="Its blocks, everybody on their own step."
          error={errors.patternId?.message}
        >
          <select {...form.register('patternId')}>
            <option value="">an empty plan</option>
            {patterns.map(({ id, title }) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </select>
        </Field>
      )}
      <BookingFields form={form as unknown as BookingInHand} />
      <PlayersField form={form as unknown as BookingInHand} squad={squad} />
      <ClashNote
        found={clashes.found}
        onDay={(day) => form.setValue('day', day)}
        onStart={(startTime) => form.setValue('startTime', startTime)}
        className="col-span-2"
      />
      <div className="col-span-2 flex justify-end">
        <Button type="submit" look="now" disabled={isSubmitting || booked}>
          {bookingLabel('Open the plan', clashes)}
        </Button>
      </div>
    </form>
  );
}
