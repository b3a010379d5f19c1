'use client';

import { yupResolver } from '@hookform/resolvers/yup';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { savePlayerAction } from '@/server/actions';
import { hands, playerSchema, stages, type PlayerForm } from '@/schemas/player';
import { emptyPlayer as empty, fieldLabel, playerFields } from '@/schemas/player-fields';
import { sports } from '@/drills/base/types';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ErrorNote, Field } from '@/ui/field';
import { useNotice } from '@/ui/toast';
import { FormLength } from '@/ui/form-length';
import { useUnits } from '@/ui/units';

interface Props {
  readonly year: number;
  /** A player to change; a new one when left out. */
  readonly player?: { readonly id: string; readonly form: PlayerForm };
  readonly onDone: () => void;
}

/** A player's own facts. Only the name, year of birth, sport and hand are asked for. */
export function PlayerFields({ year, player, onDone }: Props) {
  const notice = useNotice();
  const { lengths, say } = useUnits();
  const { control, register, handleSubmit, setError, setFocus, reset, formState } = useForm<PlayerForm>({
    resolver: yupResolver(playerSchema(year)) as never,
    defaultValues: player?.form ?? empty,
  });
  const { errors, isSubmitting } = formState;
  const said = (message: string | undefined) => message && say(message);

  const [doubt, setDoubt] = useState<string | null>(null);
  const saveAs = async (form: PlayerForm, { sure = false, another = false }) => {
    setDoubt(null);
    const outcome = await ask(() => savePlayerAction({ ...form, sure }, player?.id));
    if (outcome.ok) {
      notice({ text: player ? `${form.name} is up to date.` : `${form.name} is on the squad.` });
      if (!another) return onDone();
      // The next child most likely plays the same.
      reset({ ...empty, sport: form.sport });
      setFocus('name');
      return;
    }
    for (const { field, message } of outcome.problems) {
      if (field === 'sure') setDoubt(message);
      else setError(field in empty ? (field as keyof PlayerForm) : 'root', { message });
    }
  };
  const save = handleSubmit((form) => saveAs(form, {}));
  const saveAllTheSame = handleSubmit((form) => saveAs(form, { sure: true }));
  const saveAndAnother = handleSubmit((form) => saveAs(form, { another: true }));

  return (
    <form onSubmit={save} noValidate className="grid grid-cols-2 gap-4">
      {errors.root?.message && (
        <div className="col-span-2">
          <ErrorNote>{errors.root.message}</ErrorNote>
        </div>
      )}
      {doubt && (
        <div className="col-span-2 space-y-2">
          <ErrorNote>{doubt}</ErrorNote>
          <Button onClick={() => void saveAllTheSame()} disabled={isSubmitting}>
            Save all the same
          </Button>
        </div>
      )}
      <Field label={playerFields.name.label} error={errors.name?.message}>
        <input {...register('name')} autoComplete="off" />
      </Field>
      <Field label={playerFields.birthYear.label} error={errors.birthYear?.message}>
        <input {...register('birthYear')} inputMode="numeric" autoComplete="off" />
      </Field>
      <Field label={playerFields.sport.label} error={errors.sport?.message}>
        <select {...register('sport')}>
          {sports.map((sport) => (
            <option key={sport}>{sport}</option>
          ))}
        </select>
      </Field>
      <Field label={playerFields.hand.label} error={errors.hand?.message}>
        <select {...register('hand')}>
          {hands.map((hand) => (
            <option key={hand}>{hand}</option>
          ))}
        </select>
      </Field>
      <Field label={playerFields.stage.label} hint="May stay open; for tennis." error={errors.stage?.message}>
        <select {...register('stage')}>
          <option value="">open</option>
          {stages.map((stage) => (
            <option key={stage}>{stage}</option>
          ))}
        </select>
      </Field>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label={lengths === 'feet' ? `${playerFields.heightCm.label}, ft` : fieldLabel('heightCm')}
          error={said(errors.heightCm?.message)}
        >
          <FormLength control={control} name="heightCm" keptIn="cm" />
        </Field>
        <Field label={fieldLabel('racketIn')} error={errors.racketIn?.message}>
          <input {...register('racketIn')} inputMode="decimal" autoComplete="off" />
        </Field>
      </div>
      <Field
        label={playerFields.focus.label}
        hint="The one thing right now."
        error={errors.focus?.message}
        className="col-span-2"
      >
        <input {...register('focus')} autoComplete="off" />
      </Field>
      <Field
        label={playerFields.careNote.label}
        hint="What a coach must know before any work."
        error={errors.careNote?.message}
        className="col-span-2"
      >
        <input {...register('careNote')} autoComplete="off" />
      </Field>
      <div className="col-span-2 flex flex-wrap justify-end gap-2">
        {!player && (
          <Button onClick={() => void saveAndAnother()} disabled={isSubmitting}>
            Add, and another
          </Button>
        )}
        <Button type="submit" look="now" disabled={isSubmitting}>
          {player ? 'Save changes' : 'Add player'}
        </Button>
      </div>
    </form>
  );
}
