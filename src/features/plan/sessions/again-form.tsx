'use client';

import { Hammer } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { sameWeekdayAfter, weeklyDays } from '@/core/plan/weekly';
import { counted } from '@/core/base/words';
import { planAgainAction, removeSessionAction } from '@/server/actions';
import { bookingLabel, ClashNote, useClashes } from './clashes';
import { DaysLeftOut } from './days-left-out';
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

interface Props extends AgainOf {
  /** The next day of its weekday on which its group, coach and place are free, local ISO; null where none is known. */
  readonly freeDay: string | null;
  readonly onDone: () => void;
}

/** The day, or the days of a term with its holidays ticked off. One opens its plan, several stay a list. */
export function AgainForm({ session, today, freeDay, onDone }: Props) {
  const router = useRouter();
  const notice = useNotice();
  const [first, setFirst] = useState(() => freeDay ?? sameWeekdayAfter(session.day, today));
  const [until, setUntil] = useState('');
  const [skipped, setSkipped] = useState<ReadonlySet<string>>(new Set());
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const all = first === '' ? [] : weeklyDays(first, until);
  const days = all.filter((day) => !skipped.has(day));

  const clashes = useClashes(days.length > 0 ? { days, fromId: session.id } : null);

  const book = async (build = false) => {
    setBusy(true);
    setProblem(null);
    if (!(await clashes.seen())) return setBusy(false);
    // One is built on its own screen, with two ways to look at; several at once, each for itself.
    const outcome = await ask(() => planAgainAction(session.id, { days, build: build && days.length > 1 }));
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
      <DaysLeftOut all={all} skipped={skipped} onSkipped={setSkipped} clashes={clashes.found?.clashes} />
      <ClashNote
        found={clashes.found}
        onDay={days.length === 1 ? setFirst : undefined}
        className="col-span-2"
      />
      <div className="col-span-2 flex flex-wrap justify-end gap-2">
        {days.length > 0 && (
          <Button disabled={busy} onClick={() => void book(true)}>
            <Hammer aria-hidden size={18} /> {days.length === 1 ? 'Build it anew' : 'Build each anew'}
          </Button>
        )}
        <Button type="submit" look="now" disabled={busy || days.length === 0}>
          {bookingLabel(
            days.length === 1 ? 'Open the plan' : `Plan ${counted(days.length, 'session')}`,
            clashes,
          )}
        </Button>
      </div>
    </form>
  );
}
