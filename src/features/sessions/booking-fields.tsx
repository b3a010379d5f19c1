import type { UseFormReturn } from 'react-hook-form';
import type { SessionForm } from '@/server/schemas/session';
import type { PlayerName } from '@/server/views/player-facts';
import { Field } from '@/ui/field';

/** The booking of a session: title, day, time, minutes, coach and place. */
export function BookingFields({ form }: { form: UseFormReturn<SessionForm> }) {
  const { register, formState } = form;
  const { errors } = formState;
  return (
    <>
      <Field label="Title" error={errors.title?.message}>
        <input {...register('title')} autoComplete="off" />
      </Field>
      <Field label="Day" error={errors.day?.message}>
        <input type="date" {...register('day')} />
      </Field>
      <Field label="Start" error={errors.startTime?.message}>
        <input type="time" {...register('startTime')} />
      </Field>
      <Field label="Minutes booked" error={errors.bookedMin?.message}>
        <input {...register('bookedMin')} inputMode="numeric" autoComplete="off" />
      </Field>
      <Field label="Place" error={errors.placeName?.message}>
        <input {...register('placeName')} autoComplete="off" />
      </Field>
      <Field label="Coach" error={errors.coach?.message}>
        <input {...register('coach')} autoComplete="off" />
      </Field>
    </>
  );
}

/** Who is coming. */
export function PlayersField({
  form,
  squad,
}: {
  form: UseFormReturn<SessionForm>;
  squad: readonly PlayerName[];
}) {
  const error = form.formState.errors.playerIds?.message;
  return (
    <fieldset className="col-span-2" aria-describedby={error ? 'players-error' : undefined}>
      <legend className="mb-1 font-semibold">Players</legend>
      <div className="grid grid-cols-2 gap-1 sm:grid-cols-3">
        {squad.map((player) => (
          <label key={player.id} className="flex min-h-11 items-center gap-2 rounded-md px-2 hover:bg-chalk">
            <input
              type="checkbox"
              value={player.id}
              {...form.register('playerIds')}
              className="size-5 accent-[var(--now)]"
            />
            {player.name}
          </label>
        ))}
      </div>
      {error && (
        <p id="players-error" className="text-sm font-semibold text-stop">
          {error}
        </p>
      )}
    </fieldset>
  );
}
