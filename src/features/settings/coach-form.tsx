'use client';

import { yupResolver } from '@hookform/resolvers/yup';
import { useForm } from 'react-hook-form';
import type { Outcome } from '@/core/base/outcome';
import { newCoachSchema, passcodeSchema } from '@/schemas/coach';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ErrorNote, Field } from '@/ui/field';

export interface CoachForm {
  name: string;
  passcode: string;
  role: 'owner' | 'coach';
  /** The passcode of now of whoever sits here, where another one is given. */
  own: string;
}

interface Props {
  /** Whose new passcode it is; a new coach where it is left out. */
  readonly of?: string;
  /** Whether it is one's own: then the field above it is the one of now. */
  readonly self?: boolean;
  /** The first coach is the owner: nothing is asked. */
  readonly first?: boolean;
  readonly save: (form: CoachForm) => Promise<Outcome<unknown>>;
  readonly onDone: (form: CoachForm) => void;
}

const isField = (field: string): field is keyof CoachForm =>
  field === 'name' || field === 'passcode' || field === 'role' || field === 'own';

/** A coach's name and passcode, or only another passcode. */
export function CoachFields({ of, self = false, first = false, save, onDone }: Props) {
  const { register, handleSubmit, setError, formState } = useForm<CoachForm>({
    resolver: (of === undefined ? yupResolver(newCoachSchema) : yupResolver(passcodeSchema)) as never,
    defaultValues: { name: of ?? '', passcode: '', role: first ? 'owner' : 'coach', own: '' },
  });
  const { errors, isSubmitting } = formState;
  const send = handleSubmit(async (form) => {
    const outcome = await ask(() => save(form));
    if (outcome.ok) return onDone(form);
    for (const { field, message } of outcome.problems) setError(isField(field) ? field : 'root', { message });
  });
  return (
    <form onSubmit={send} noValidate className="space-y-4">
      {errors.root?.message && <ErrorNote>{errors.root.message}</ErrorNote>}
      {of === undefined ? (
        <Field label="Name" error={errors.name?.message}>
          <input {...register('name')} autoComplete="off" autoCapitalize="words" />
        </Field>
      ) : (
        <input type="text" autoComplete="username" defaultValue={of} readOnly hidden />
      )}
      {of !== undefined && (
        <Field
          label="Your passcode of now"
          error={errors.own?.message}
          hint={self ? undefined : `Yours, not ${of}’s: it shows that an owner sits here.`}
        >
          <input {...register('own')} type="password" autoComplete="current-password" />
        </Field>
      )}
      <Field
        label={of === undefined ? 'Passcode' : 'New passcode'}
        error={errors.passcode?.message}
        hint="At least eight letters. Three or four words that do not belong together are easy to keep and hard to guess."
      >
        <input {...register('passcode')} type="password" autoComplete="new-password" />
      </Field>
      {of === undefined && !first && (
        <Field label="Role" error={errors.role?.message}>
          <select {...register('role')}>
            <option value="coach">Coach: plans, runs, judges, and sees the whole squad</option>
            <option value="owner">Owner: also coaches, links, copies, and removing a child for good</option>
          </select>
        </Field>
      )}
      <Button type="submit" look="now" disabled={isSubmitting}>
        {isSubmitting ? 'Saving…' : of === undefined ? 'Add' : 'Change the passcode'}
      </Button>
    </form>
  );
}
