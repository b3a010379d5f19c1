'use client';

import { yupResolver } from '@hookform/resolvers/yup';
import { useForm } from 'react-hook-form';
import { hazards, surfaces } from '@/core/venues/place';
import { savePlaceAction } from '@/server/actions';
import type { KnownPlace } from '@/server/views/facts';
import { placeSchema, type PlaceForm } from '@/schemas/place';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ErrorNote, Field } from '@/ui/field';
import { FormLength } from '@/ui/form-length';
import { useNotice } from '@/ui/toast';
import { ThingsOnFloor } from './things-on-floor';
import { useUnits } from '@/ui/units';

const empty: PlaceForm = {
  name: '',
  lengthM: 12,
  widthM: 6,
  ceilingM: null,
  surface: 'court',
  wallM: 0,
  wallSide: null,
  things: [],
  tables: 0,
  hazards: [],
  quietFrom: null,
  quietTo: null,
};

/** A place, described: size, height, ground, wall, tables, what to mind, when to be quiet. */
export function PlaceFields({ place, onDone }: { place?: KnownPlace; onDone: () => void }) {
  const notice = useNotice();
  const { id, ...known } = place ?? { id: undefined };
  const form = useForm<PlaceForm>({
    resolver: yupResolver(placeSchema) as never,
    defaultValues: {
      ...empty,
      ...known,
      hazards: [...(place?.hazards ?? [])],
      wallSide: place?.wallSide ?? null,
      things: (place?.things ?? []).map((thing) => ({ ...thing })),
    },
  });
  const { unit, say } = useUnits();
  const said = (message: string | undefined) => message && say(message);
  const { register, formState, setError } = form;
  const { errors, isSubmitting } = formState;
  const save = form.handleSubmit(async (values) => {
    const outcome = await ask(() => savePlaceAction(values, id));
    if (outcome.ok) {
      notice({ text: `${values.name} is saved.` });
      return onDone();
    }
    for (const { field, message } of outcome.problems)
      setError(field.split(/[.[]/)[0]! in values ? (field as keyof PlaceForm) : 'root', { message });
  });
  return (
    <form onSubmit={save} noValidate className="grid grid-cols-2 gap-4 sm:grid-cols-4">
      {errors.root?.message && (
        <div className="col-span-full">
          <ErrorNote>{errors.root.message}</ErrorNote>
        </div>
      )}
      <Field label="Name" error={errors.name?.message} className="col-span-2">
        <input {...register('name')} autoComplete="off" />
      </Field>
      <Field label={`Length, ${unit}`} error={said(errors.lengthM?.message)}>
        <FormLength control={form.control} name="lengthM" />
      </Field>
      <Field label={`Width, ${unit}`} error={said(errors.widthM?.message)}>
        <FormLength control={form.control} name="widthM" />
      </Field>
      <Field
        label={`Ceiling, ${unit}`}
        hint="Under the lowest beam; empty under the sky."
        error={said(errors.ceilingM?.message)}
        className="col-span-2"
      >
        <FormLength control={form.control} name="ceilingM" />
      </Field>
      <Field label="Surface" error={errors.surface?.message} className="col-span-2">
        <select {...register('surface')}>
          {surfaces.map((surface) => (
            <option key={surface}>{surface}</option>
          ))}
        </select>
      </Field>
      <Field
        label={`Wall that may be hit, ${unit}`}
        hint="0 for none."
        error={said(errors.wallM?.message)}
        className="col-span-2"
      >
        <FormLength control={form.control} name="wallM" />
      </Field>
      <Field label="The wall is along" error={errors.wallSide?.message}>
        <select {...register('wallSide', { setValueAs: (side: string) => side || null })}>
          <option value="">nobody said</option>
          <option value="long">the long side</option>
          <option value="short">the short side</option>
        </select>
      </Field>
      <Field label="Tables" hint="0 for none." error={errors.tables?.message}>
        <input {...register('tables')} inputMode="numeric" autoComplete="off" />
      </Field>
      <Field label="Quiet from" error={errors.quietFrom?.message} className="col-span-2">
        <input type="time" {...register('quietFrom')} />
      </Field>
      <Field label="Quiet to" error={errors.quietTo?.message} className="col-span-2">
        <input type="time" {...register('quietTo')} />
      </Field>
      <ThingsOnFloor form={form} />
      <fieldset className="col-span-full">
        <legend className="font-semibold">Watch out for</legend>
        <div className="grid sm:grid-cols-2">
          {hazards.map((hazard) => (
            <label key={hazard} className="flex min-h-9 touch:min-h-11 items-center gap-2">
              <input
                type="checkbox"
                value={hazard}
                {...register('hazards')}
                className="size-5 accent-[var(--now)]"
              />
              {hazard}
            </label>
          ))}
        </div>
      </fieldset>
      <div className="col-span-full flex justify-end">
        <Button type="submit" look="now" disabled={isSubmitting}>
          Save place
        </Button>
      </div>
    </form>
  );
}
