'use client';

import { yupResolver } from '@hookform/resolvers/yup';
import { useRouter } from 'next/navigation';
import { useForm, useWatch } from 'react-hook-form';
import { daysLater } from '@/core/plan/weekly';
import { challengeKinds } from '@/core/challenges/challenge';
import { challengeSchema, type ChallengeForm } from '@/schemas/challenge';
import { makeChallengeAction } from '@/server/actions/judgement';
import type { PlayerName } from '@/server/views/facts';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ErrorNote, Field } from '@/ui/field';
import { useWholeBook } from '@/ui/whole-book';
import { kindWords } from './words';

interface Props {
  readonly squad: readonly PlayerName[];
  readonly today: string;
  readonly onDone: () => void;
}

/** Seven days, everybody, a drill whose rows they know: what is filled in at first is a challenge already. */
export function ChallengeFields({ squad, today, onDone }: Props) {
  const router = useRouter();
  const book = useWholeBook();
  const drills = book.drills.filter(({ family }) => family !== 'loosen');
  const first = drills.find(({ id }) => id === 'palm-up-bounce') ?? drills[0]!;
  const { register, handleSubmit, setError, setValue, control, formState } = useForm<ChallengeForm>({
    resolver: yupResolver(challengeSchema) as never,
    defaultValues: {
      title: '',
      kind: 'best',
      drillId: first.id,
      stepId: first.steps[0]!.id,
      rules: '',
      fromDay: today,
      untilDay: daysLater(today, 6),
      attempts: null,
      goal: null,
      ranked: false,
      playerIds: squad.map(({ id }) => id),
    },
  });
  const { errors, isSubmitting } = formState;
  const [kind, drillId] = useWatch({ control, name: ['kind', 'drillId'] });
  const drill = book.drill(drillId) ?? first;
  const save = handleSubmit(async (form) => {
    const outcome = await ask(() => makeChallengeAction(form));
    if (outcome.ok) {
      onDone();
      return router.push(`/challenges/${outcome.value.id}`);
    }
    for (const { field, message } of outcome.problems)
      setError(field in form ? (field as keyof ChallengeForm) : 'root', { message });
  });
  const open = { setValueAs: (value: unknown) => (value === '' || value === null ? null : Number(value)) };
  const loose = Object.entries(errors as Record<string, { message?: string }>).filter(([name]) =>
    ['', 'root', 'playerIds'].includes(name),
  );
  return (
    <form onSubmit={save} noValidate className="grid grid-cols-2 gap-4">
      {loose.map(([name, error]) => (
        <div key={name} className="col-span-2">
          <ErrorNote>{error.message}</ErrorNote>
        </div>
      ))}
      <Field label="Name" error={errors.title?.message} className="col-span-2">
        <input {...register('title')} autoComplete="off" placeholder="Rope week" />
      </Field>
      <Field label="Drill" error={errors.drillId?.message}>
        <select
          {...register('drillId', {
            onChange: (event: { target: { value: string } }) =>
              setValue('stepId', book.drill(event.target.value)?.steps[0]?.id ?? ''),
          })}
        >
          {drills.map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </select>
      </Field>
      <Field label="Step" error={errors.stepId?.message}>
        <select {...register('stepId')}>
          {drill.steps.map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </select>
      </Field>
      <Field
        label="Kind"
        hint={kindWords[kind as keyof typeof kindWords][1]}
        error={errors.kind?.message}
        className="col-span-2"
      >
        <select {...register('kind')}>
          {challengeKinds.map((one) => (
            <option key={one} value={one}>
              {kindWords[one][0]}
            </option>
          ))}
        </select>
      </Field>
      {(kind === 'together' || kind === 'pairs') && (
        <Field
          label={kind === 'pairs' ? 'In a row, wanted of a pair' : 'Touches together'}
          error={errors.goal?.message}
          className="col-span-2"
        >
          <input {...register('goal', open)} inputMode="numeric" autoComplete="off" />
        </Field>
      )}
      <Field label="First day" error={errors.fromDay?.message}>
        <input type="date" {...register('fromDay')} />
      </Field>
      <Field label="Last day" error={errors.untilDay?.message}>
        <input type="date" {...register('untilDay')} />
      </Field>
      <Field label="Attempts each" hint="Open: as many as they like." error={errors.attempts?.message}>
        <input {...register('attempts', open)} inputMode="numeric" autoComplete="off" />
      </Field>
      <Field
        label="Rules on the card"
        hint="Ball, shots and distance by age stand on the card by themselves; this is for what else holds."
        error={errors.rules?.message}
      >
        <input {...register('rules')} autoComplete="off" />
      </Field>
      <fieldset className="col-span-2">
        <legend className="font-semibold">Who</legend>
        <div className="flex flex-wrap gap-x-4">
          {squad.map(({ id, name }) => (
            <label key={id} className="inline-flex min-h-11 items-center gap-2">
              <input type="checkbox" value={id} {...register('playerIds')} className="size-5" /> {name}
            </label>
          ))}
        </div>
      </fieldset>
      <label className="col-span-2 inline-flex min-h-11 items-center gap-2">
        <input type="checkbox" {...register('ranked')} className="size-5" /> Rank the players on its board
      </label>
      <div className="col-span-2">
        <Button type="submit" look="now" disabled={isSubmitting}>
          Make it
        </Button>
      </div>
    </form>
  );
}
