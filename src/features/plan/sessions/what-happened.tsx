'use client';

import { useState, type FormEvent } from 'react';
import type { Outcome } from '@/core/base/outcome';
import { longestWhy } from '@/core/players/attendance';
import { sayHeldAction, sayNotHeldAction } from '@/server/actions';
import type { SessionLine } from '@/server/views/today';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { shortDay } from '@/ui/dates';
import { Dialog } from '@/ui/dialog';
import { ErrorNote } from '@/ui/field';
import { Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';

/** Sessions whose day is over and which nobody has run: what became of each is asked for. */
export function WhatHappened({ lines }: { lines: readonly SessionLine[] }) {
  if (lines.length === 0) return null;
  return (
    <Sheet className="border-care p-4" aria-label="What happened?">
      <h2 className="mb-1 text-lg">What happened?</h2>
      <ul>
        {lines.map((session) => (
          <Asked key={session.id} session={session} />
        ))}
      </ul>
    </Sheet>
  );
}

function Asked({ session }: { session: SessionLine }) {
  const notice = useNotice();
  const [open, setOpen] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const say = async (
    what: () => Promise<Outcome<null>>,
    back: () => Promise<Outcome<null>>,
    text: string,
  ) => {
    const outcome = await ask(what);
    setProblem(outcome.ok ? null : outcome.problems.map((one) => one.message).join(' '));
    if (!outcome.ok) return;
    setOpen(false);
    notice({ text, undo: () => void ask(back) });
  };
  const { id, title } = session;
  const held = () =>
    say(
      () => sayHeldAction(id, true),
      () => sayHeldAction(id, false),
      `“${title}” was held.`,
    );
  const notHeld = (why: string) =>
    say(
      () => sayNotHeldAction(id, { why }),
      () => sayNotHeldAction(id, { why: null }),
      `“${title}” was not held: ${why}.`,
    );
  return (
    <li className="flex min-h-14 flex-wrap items-center justify-between gap-x-4 gap-y-1 border-t border-line py-1">
      <span>
        <span className="tabular">{shortDay(session.day)}</span>{' '}
        <span className="font-semibold">{title}</span> was not run.
      </span>
      <span className="flex flex-wrap gap-2">
        <Button onClick={() => void held()}>It was held, without counts</Button>
        <Button onClick={() => setOpen(true)}>It was not held</Button>
        <ButtonLink look="quiet" href={`/sessions/${id}/run`}>
          Write counts in
        </ButtonLink>
      </span>
      {problem && <ErrorNote>{problem}</ErrorNote>}
      <Dialog open={open} onOpenChange={setOpen} title="Why was it not held?">
        <WhyForm onSay={notHeld} />
      </Dialog>
    </li>
  );
}

const reasons = ['rain', 'no place', 'coach away', 'nobody came', 'called off'] as const;

function WhyForm({ onSay }: { onSay: (why: string) => Promise<void> }) {
  const [own, setOwn] = useState('');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void onSay(own);
  };
  return (
    <form onSubmit={submit} className="space-y-4">
      <div className="flex flex-wrap gap-2">
        {reasons.map((reason) => (
          <Button key={reason} onClick={() => void onSay(reason)}>
            {reason}
          </Button>
        ))}
      </div>
      <label className="block font-semibold">
        Or in your own words
        <input
          value={own}
          maxLength={longestWhy}
          onChange={(event) => setOwn(event.target.value)}
          className="mt-1 block min-h-11 w-full rounded-md border-2 border-edge bg-sheet px-3 font-normal"
        />
      </label>
      <div className="flex justify-end">
        <Button type="submit" look="now" disabled={own.trim() === ''}>
          It was not held
        </Button>
      </div>
    </form>
  );
}
