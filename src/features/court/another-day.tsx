'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { shortDay } from '@/core/base/day-words';
import { planAgainAction, runTodayAction } from '@/server/actions';
import type { SessionFacts } from '@/server/views/session-facts';
import { ask, problemsText } from '@/ui/ask';
import { buttonClass } from '@/ui/button';
import { ErrorNote } from '@/ui/error-note';
import { Link } from '@/ui/link';

interface Props {
  readonly session: SessionFacts;
  readonly today: string;
  /** The session is to be run today; the server was told, or cannot be reached. */
  readonly onToday: () => Promise<void>;
}

/** Asks before a session is run on another day than the one it is planned for. */
export function AnotherDay({ session, today, onToday }: Props) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const runToday = async () => {
    setBusy(true);
    // A court without the server runs all the same: the log says on which day.
    await ask(() => runTodayAction(session.id));
    await onToday();
  };
  const runCopy = async () => {
    setBusy(true);
    setProblem(null);
    const outcome = await ask(() => planAgainAction(session.id, { days: [today] }));
    if (outcome.ok) return router.push(`/sessions/${outcome.value.ids[0]}/run`);
    setBusy(false);
    setProblem(problemsText(outcome));
  };
  return (
    <main className="mx-auto max-w-xl space-y-4 px-6 pt-16">
      <h1 className="text-3xl">Run it today instead?</h1>
      <p className="text-lg">
        This session is planned for {shortDay(session.day)}. Today is {shortDay(today)}.
      </p>
      {problem && <ErrorNote>{problem}</ErrorNote>}
      <div className="flex flex-col gap-3">
        <button
          type="button"
          disabled={busy}
          onClick={() => void runToday()}
          className={buttonClass('now', 'min-h-16 text-xl')}
        >
          Run it today
        </button>
        <button
          type="button"
          disabled={busy}
          onClick={() => void runCopy()}
          className={buttonClass('plain', 'min-h-16 text-xl')}
        >
          Run a copy today
        </button>
        <Link href={`/sessions/${session.id}/plan`} className={buttonClass('plain', 'min-h-16 text-xl')}>
          Cancel
        </Link>
      </div>
      <p className="text-soft">
        Run it today moves the session to today. A copy leaves it planned for {shortDay(session.day)}.
      </p>
    </main>
  );
}
