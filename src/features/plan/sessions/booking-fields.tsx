import type { UseFormReturn } from 'react-hook-form';
import type { BookingForm } from '@/schemas/booking';
import type { PlayerName } from '@/server/views/facts';
import { Field } from '@/ui/field';
import { useHouse } from '@/ui/house';

/** A form with a booking in it, whatever else it asks. */
export type BookingInHand = UseFormReturn<BookingForm>;

/** The booking of a session: title, day, time, minutes, coach and place. */
export function BookingFields({ form }: { form: BookingInHand }) {
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
      <PlaceField form={form} />
      <Field label="Coach" error={errors.coach?.message}>
        <input {...register('coach')} autoComplete="off" />
      </Field>
      <Field label="Air, °C" hint="If you know: drink breaks follow it." error={errors.airC?.message}>
        <input {...register('airC')} inputMode="numeric" autoComplete="off" />
      </Field>
    </>
  );
}

/** One of the places on the list, or any other by its name. */
function PlaceField({ form }: { form: BookingInHand }) {
  const { places } = useHouse();
  const { errors } = form.formState;
  const elsewhere = !form.watch('placeId');
  return (
    <>
      {places.length > 0 && (
        <Field label="Place" error={errors.placeId?.message}>
          <select {...form.register('placeId')}>
            <option value="">another place</option>
            {places.map((place) => (
              <option key={place.id} value={place.id}>
                {place.name}
              </option>
            ))}
          </select>
        </Field>
      )}
      {(elsewhere || places.length === 0) && (
        <Field
          label={places.length > 0 ? 'Name of the other place' : 'Place'}
          error={errors.placeName?.message}
        >
          <input {...form.register('placeName')} autoComplete="off" />
        </Field>
      )}
    </>
  );
}

/** Who is coming. */
export function PlayersField({ form, squad }: { form: BookingInHand; squad: readonly PlayerName[] }) {
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
