'use client';

import { yupResolver } from '@hookform/resolvers/yup';
import { useForm } from 'react-hook-form';
import type { Outcome } from '@/core/outcome';
import { newCoachSchema, passcodeSchema } from '@/schemas/coach';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ErrorNote, Field } from '@/ui/field';

export interface CoachForm {
  name: string;
  passcode: string;
  role: 'owner' | 'coach';
}

interface Props {
  /** Whose new passcode it is; a new coach where it is left out. */
  readonly of?: string;
  /** The first coach is the owner: nothing is asked. */
  readonly first?: boolean;
  readonly save: (form: CoachForm) => Promise<Outcome<unknown>>;
  readonly onDone: (form: CoachForm) => void;
}

/** A coach's name and passcode, or only another passcode. */
export function CoachFields({ of, first = false, save, onDone }: Props) {
  const { register, handleSubmit, setError, formState } = useForm<CoachForm>({
    resolver: yupResolver(of === undefined ? newCoachSchema : passcodeSchema) as never,
    defaultValues: { name: of ?? '', passcode: '', role: first ? 'owner' : 'coach' },
  });
  const { errors, isSubmitting } = formState;
  const send = handleSubmit(async (form) => {
    const outcome = await ask(() => save(form));
    if (outcome.ok) return onDone(form);
    for (const { field, message } of outcome.problems)
      setError(field === 'name' || field === 'passcode' || field === 'role' ? field : 'root', { message });
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
      <Field
        label="Passcode"
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
