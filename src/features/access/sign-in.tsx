'use client';

import { yupResolver } from '@hookform/resolvers/yup';
import { LogIn } from 'lucide-react';
import { useForm } from 'react-hook-form';
import { signInSchema } from '@/schemas/coach';
import { signInAction } from '@/server/actions/doors';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ErrorNote, Field } from '@/ui/field';
import { useHydrated } from '@/ui/hydrated';
import { ClearHere } from './clear-here';
import { wayBack } from './ways-back';

interface Form {
  name: string;
  passcode: string;
}

/** The door: a name, a passcode, and where one wanted to go. */
export function SignIn({ to }: { readonly to: string }) {
  const alive = useHydrated();
  const { register, handleSubmit, setError, setFocus, resetField, formState } = useForm<Form>({
    resolver: yupResolver(signInSchema) as never,
    defaultValues: { name: '', passcode: '' },
  });
  const { errors, isSubmitting, isSubmitSuccessful } = formState;
  const send = handleSubmit(async (form) => {
    const outcome = await ask(() => signInAction(form));
    // A whole load: what the page before knew of another coach is gone with it.
    if (outcome.ok) return location.assign(wayBack(to));
    for (const { field, message } of outcome.problems)
      setError(field === 'name' || field === 'passcode' ? field : 'root', { message });
    resetField('passcode', { keepError: true });
    setFocus('passcode');
  });
  return (
    <main className="mx-auto max-w-md px-6 pt-16">
      <svg aria-hidden viewBox="0 0 34 30" width="68" height="60">
        <path d="M1 29 V21 H12 V13 H23 V5 H33 V29" fill="none" stroke="currentColor" strokeWidth="3" />
        <circle cx="17.5" cy="7.5" r="4.5" fill="var(--now)" stroke="currentColor" strokeWidth="2" />
      </svg>
      <h1 className="mt-3 text-3xl">Sign in</h1>
      <p className="mt-1 text-soft">Vow Step keeps children’s data: it opens to coaches of this club.</p>
      <ClearHere />
      <form onSubmit={send} noValidate className="mt-5 space-y-4">
        {errors.root?.message && <ErrorNote>{errors.root.message}</ErrorNote>}
        <Field label="Name" error={errors.name?.message}>
          <input {...register('name')} autoComplete="username" autoCapitalize="words" />
        </Field>
        <Field label="Passcode" error={errors.passcode?.message}>
          <input {...register('passcode')} type="password" autoComplete="current-password" />
        </Field>
        <Button
          type="submit"
          look="now"
          className="w-full"
          disabled={!alive || isSubmitting || (isSubmitSuccessful && !Object.keys(errors).length)}
        >
          <LogIn aria-hidden size={18} /> {isSubmitting ? 'Looking…' : 'Sign in'}
        </Button>
      </form>
      <p className="mt-6 text-sm text-soft">
        Forgotten? An owner gives you a new passcode in Settings. An owner who forgot theirs types{' '}
        <code className="rounded-sm bg-chalk px-1 font-semibold text-ink">npm run passcode</code> on the
        computer Vow Step runs on.
      </p>
    </main>
  );
}
