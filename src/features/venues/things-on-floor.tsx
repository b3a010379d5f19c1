'use client';

import { Plus, X } from 'lucide-react';
import { useFieldArray, useWatch, type FieldErrors, type UseFormReturn } from 'react-hook-form';
import { thingKinds, type FloorThing, type Place } from '@/core/venues/place';
import { movedThing } from '@/core/venues/things';
import { mostThings, type PlaceForm } from '@/schemas/place';
import { Button } from '@/ui/button';
import { ErrorNote } from '@/ui/error-note';
import { FormLength } from '@/ui/form-length';
import { numberIn } from '@/ui/typing';
import { useUnits } from '@/ui/units';
import { ThingsDrawing } from './things-drawing';

const measures = [
  ['xM', 'Along'],
  ['yM', 'Out'],
  ['widthM', 'Wide'],
  ['depthM', 'Deep'],
] as const;

/** What stands in a place: drawn and moved on its floor, with the numbers beside it. */
export function ThingsOnFloor({ form }: { readonly form: UseFormReturn<PlaceForm> }) {
  const { control, register, setValue, formState } = form;
  const { fields, append, remove } = useFieldArray({ control, name: 'things' });
  const { unit, say } = useUnits();
  const values = useWatch({ control });
  const place = asNumbers(values as PlaceForm);
  const errors = formState.errors.things as FieldErrors<FloorThing>[] | undefined;
  const move = (index: number, byX: number, byY: number) => {
    const thing = place.things?.[index];
    if (!thing) return;
    const moved = movedThing(thing, byX, byY, place);
    setValue(`things.${index}.xM`, moved.xM, { shouldDirty: true });
    setValue(`things.${index}.yM`, moved.yM, { shouldDirty: true });
  };
  const problem = formState.errors.things?.message ?? formState.errors.things?.root?.message;
  return (
    <fieldset className="col-span-full space-y-2">
      <legend className="font-semibold">What stands on the floor</legend>
      <p className="text-sm text-soft">
        Lanes are laid round it. Along is from the left end of the wall’s side, out is away from it, in {unit}
        . Drag a thing, or move it with the arrow keys.
      </p>
      {problem && <ErrorNote>{say(problem)}</ErrorNote>}
      <ThingsDrawing place={place} onMove={move} />
      <ul className="space-y-2">
        {fields.map((field, index) => {
          const name = `${index + 1} ${field.kind}`;
          const own = measures.flatMap(([key]) => errors?.[index]?.[key]?.message ?? []);
          return (
            <li key={field.id}>
              <div role="group" aria-label={name} className="flex flex-wrap items-end gap-2">
                <label className="text-sm font-semibold">
                  <span className="block">{index + 1}. What</span>
                  <select
                    {...register(`things.${index}.kind`)}
                    className="min-h-11 rounded-md border-2 border-edge bg-sheet px-1 font-normal"
                  >
                    {thingKinds.map((kind) => (
                      <option key={kind}>{kind}</option>
                    ))}
                  </select>
                </label>
                {measures.map(([key, label]) => (
                  <label key={key} className="text-sm font-semibold">
                    <span className="block">{label}</span>
                    <FormLength
                      control={control}
                      name={`things.${index}.${key}`}
                      aria-label={`${name}: ${label.toLowerCase()}`}
                      aria-invalid={errors?.[index]?.[key] ? true : undefined}
                      className="min-h-11 w-20 rounded-md border-2 border-edge bg-sheet px-2 font-normal"
                    />
                  </label>
                ))}
                <Button look="quiet" aria-label={`Take off: ${name}`} onClick={() => remove(index)}>
                  <X aria-hidden size={18} />
                </Button>
              </div>
              {own.length > 0 && (
                <p role="alert" className="text-sm font-semibold text-stop">
                  {say(own.join(' '))}
                </p>
              )}
            </li>
          );
        })}
      </ul>
      {fields.length < mostThings && (
        <Button onClick={() => append({ kind: 'pillar', xM: 0, yM: 0, widthM: 0.4, depthM: 0.4 })}>
          <Plus aria-hidden size={18} /> Add a thing
        </Button>
      )}
    </fieldset>
  );
}

/** A form keeps what is typed: as numbers it can be drawn, and what is no number is nothing yet. */
function asNumbers(form: PlaceForm): Pick<Place, 'lengthM' | 'widthM' | 'wallSide' | 'wallM' | 'things'> {
  const number = (value: unknown): number => {
    const read = numberIn(String(value ?? ''));
    return Number.isFinite(read) && read > 0 ? read : 0;
  };
  return {
    lengthM: number(form.lengthM),
    widthM: number(form.widthM),
    wallM: number(form.wallM),
    wallSide: form.wallSide || null,
    things: (form.things ?? []).map((thing) => ({
      kind: thing.kind,
      xM: number(thing.xM),
      yM: number(thing.yM),
      widthM: number(thing.widthM),
      depthM: number(thing.depthM),
    })),
  };
}
