'use client';

import { Hammer } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { sameWeekdayAfter, weeklyDays } from '@/core/planning/weekly';
import { counted } from '@/core/words';
import { planAgainAction, removeSessionAction } from '@/server/actions';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { shortDay } from '@/ui/dates';
import { ErrorNote, Field } from '@/ui/field';
import { useNotice } from '@/ui/toast';

/** What is planned again, and the coach's own day. */
export interface AgainOf {
  readonly session: { readonly id: string; readonly title: string; readonly day: string };
  readonly today: string;
}

/** The day, or the days of a term with its holidays ticked off. One opens its plan, several stay a list. */
export function AgainForm({ session, today, onDone }: AgainOf & { readonly onDone: () => void }) {
  const router = useRouter();
  const notice = useNotice();
  const [first, setFirst] = useState(() => sameWeekdayAfter(session.day, today));
  const [until, setUntil] = useState('');
  const [skipped, setSkipped] = useState<ReadonlySet<string>>(new Set());
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const all = first === '' ? [] : weeklyDays(first, until);
  const days = all.filter((day) => !skipped.has(day));

  const book = async (build = false) => {
    setBusy(true);
    const outcome = await ask(() => planAgainAction(session.id, { days }));
    setBusy(false);
    if (!outcome.ok) return setProblem(problemsText(outcome));
    const { ids, leftOut } = outcome.value;
    onDone();
    if (ids.length === 1) router.push(`/sessions/${ids[0]}/plan${build ? '?build' : ''}`);
    notice({
      text: [
        ids.length === 1
          ? `${session.title} is planned for ${shortDay(days[0]!)}.`
          : `${session.title} is planned on ${counted(ids.length, 'day')}.`,
        leftOut > 0 && `${counted(leftOut, 'block')} could not come along: the drill is not known any more.`,
      ]
        .filter(Boolean)
        .join(' '),
      undo: () => {
        void Promise.all(ids.map((id) => ask(() => removeSessionAction(id, true)))).then(() =>
          ids.length === 1 ? router.push('/sessions') : router.refresh(),
        );
      },
    });
  };
  const skip = (day: string, out: boolean) => {
    const next = new Set(skipped);
    if (out) next.add(day);
    else next.delete(day);
    setSkipped(next);
  };

  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void book();
      }}
      className="grid grid-cols-2 gap-4"
    >
      {problem && (
        <div className="col-span-2">
          <ErrorNote>{problem}</ErrorNote>
        </div>
      )}
      <Field label="Day">
        <input type="date" value={first} onChange={(event) => setFirst(event.target.value)} />
      </Field>
      <Field label="Every week until" hint="Left open: once.">
        <input type="date" value={until} min={first} onChange={(event) => setUntil(event.target.value)} />
      </Field>
      {all.length > 1 && (
        <fieldset className="col-span-2">
          <legend className="mb-1 font-semibold">Days: leave holidays out</legend>
          <div className="grid grid-cols-2 gap-1 sm:grid-cols-3">
            {all.map((day) => (
              <label key={day} className="flex min-h-11 items-center gap-2 rounded-md px-2 hover:bg-chalk">
                <input
                  type="checkbox"
                  checked={!skipped.has(day)}
                  onChange={(event) => skip(day, !event.target.checked)}
                  className="size-5 accent-[var(--now)]"
                />
                {shortDay(day)}
              </label>
            ))}
          </div>
        </fieldset>
      )}
      <div className="col-span-2 flex flex-wrap justify-end gap-2">
        {days.length === 1 && (
          <Button disabled={busy} onClick={() => void book(true)}>
            <Hammer aria-hidden size={18} /> Build it anew
          </Button>
        )}
        <Button type="submit" look="now" disabled={busy || days.length === 0}>
          {days.length === 1 ? 'Open the plan' : `Plan ${counted(days.length, 'session')}`}
        </Button>
      </div>
    </form>
  );
}
