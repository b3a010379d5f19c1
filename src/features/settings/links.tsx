'use client';

import { CalendarPlus } from 'lucide-react';
import { useState } from 'react';
import { counted } from '@/core/base/words';
import { makeCalendarLinkAction, withdrawLinkAction } from '@/server/actions/doors';
import type { OpenLinkRow } from '@/server/views/settings';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { dayAt, momentAt } from '@/ui/dates';
import { Dialog } from '@/ui/dialog';
import { ErrorNote, Field } from '@/ui/field';
import { Sheet } from '@/ui/page-head';
import { ReachNote } from '@/features/access/reach-note';
import { useReach } from '@/features/access/use-reach';
import { useNotice } from '@/ui/toast';

const opens = ({ scope, name, player, title }: OpenLinkRow): string =>
  scope === 'calendar'
    ? `Calendar of ${name}: title, time and place of sessions`
    : scope === 'vow'
      ? `${player ?? 'A child'}’s vows, for ${name || 'their family'}`
      : `${name || 'A helper'} counts ${player ?? 'everybody'} in ${title ?? 'a session'}`;

/** Every link that opens something now: what, until when, how often it was used, and how to end it. */
export function Links({ links, zone }: { readonly links: readonly OpenLinkRow[]; readonly zone?: string }) {
  const notice = useNotice();
  const [making, setMaking] = useState(false);
  const [token, setToken] = useState<string | null>(null);
  const reached = useReach(making);
  const made = token && `${reached.base}/calendar/${token}`;
  const [name, setName] = useState('');
  const [error, setError] = useState('');
  const make = async (event: React.FormEvent) => {
    event.preventDefault();
    const outcome = await ask(() => makeCalendarLinkAction({ name }));
    if (!outcome.ok) return setError(problemsText(outcome));
    setToken(outcome.value.token);
  };
  const close = () => {
    setMaking(false);
    setToken(null);
    setName('');
    setError('');
  };
  const withdraw = async (link: OpenLinkRow) => {
    const outcome = await ask(() => withdrawLinkAction(link.tokenHash));
    notice(
      outcome.ok
        ? { text: 'This link opens nothing any more.' }
        : { text: problemsText(outcome), tone: 'stop' },
    );
  };
  return (
    <Sheet className="p-4" aria-label="Links">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-lg">Links that open something</h2>
        <Button onClick={() => setMaking(true)}>
          <CalendarPlus aria-hidden size={18} /> Calendar address
        </Button>
      </div>
      {links.length === 0 && (
        <p className="text-soft">None. A helper’s link is made on court, for one child and one session.</p>
      )}
      <ul className="mt-2">
        {links.map((link) => (
          <li
            key={link.tokenHash}
            className="flex flex-wrap items-center gap-x-4 border-t border-line py-1.5"
            data-link={link.scope}
          >
            <p className="min-w-56 flex-1">
              <span className="font-semibold">{opens(link)}</span>
              <span className="block text-sm text-soft">
                until{' '}
                {link.scope !== 'count' ? dayAt(link.expiresAtMs, zone) : momentAt(link.expiresAtMs, zone)};{' '}
                {link.uses === 0 || link.lastUsedAtMs === null
                  ? 'not used yet'
                  : `used ${counted(link.uses, 'time')}, last ${momentAt(link.lastUsedAtMs, zone)}`}
              </span>
            </p>
            <Button look="quiet" onClick={() => void withdraw(link)}>
              Withdraw<span className="sr-only"> {opens(link)}</span>
            </Button>
          </li>
        ))}
      </ul>
      <Dialog
        open={making}
        onOpenChange={(on) => !on && close()}
        title="Calendar address"
        intro="Any calendar program can follow it: title, time and place of the sessions, and nobody’s name."
      >
        {made ? (
          <div className="space-y-3">
            <p>Copy it now: it is kept as a hash, and is not shown again.</p>
            <p className="rounded-md border-2 border-line p-3 font-semibold break-all" data-made>
              {made}
            </p>
            <Button
              look="now"
              onClick={() =>
                void navigator.clipboard?.writeText(made).then(() => notice({ text: 'Copied.' }))
              }
            >
              Copy
            </Button>
          </div>
        ) : (
          <form onSubmit={(event) => void make(event)} className="space-y-4">
            {error && <ErrorNote>{error}</ErrorNote>}
            <ReachNote
              reached={reached}
              instead="A calendar program on this computer can follow it. For others, download the calendar under Files."
            />
            <Field label="Whose calendar" hint="So that you can tell it from others here.">
              <input value={name} onChange={(event) => setName(event.target.value)} autoComplete="off" />
            </Field>
            <Button type="submit" look="now">
              Make it
            </Button>
          </form>
        )}
      </Dialog>
    </Sheet>
  );
}
