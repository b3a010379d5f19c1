'use client';

import { useState } from 'react';
import { auditLinesAction } from '@/server/actions/doors';
import type { AuditLine, OwnersView } from '@/server/views/settings';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { momentAt } from '@/ui/dates';
import { ErrorNote } from '@/ui/field';
import { Sheet } from '@/ui/page-head';
import { inWords } from './audit-words';

/** What was done, by whom, when, and where the log stood. */
export function AuditList({ first, zone }: { readonly first: OwnersView['audit']; readonly zone?: string }) {
  const [older, setOlder] = useState<readonly AuditLine[]>([]);
  const [more, setMore] = useState(first.more);
  const [error, setError] = useState('');
  const lines = [...first.lines, ...older];
  const load = async () => {
    const outcome = await ask(() => auditLinesAction(lines.at(-1)?.atMs ?? 0));
    if (!outcome.ok) return setError(problemsText(outcome));
    setOlder([...older, ...outcome.value.lines]);
    setMore(outcome.value.more);
  };
  return (
    <Sheet className="p-4" aria-label="What was done">
      <h2 className="text-lg">What was done</h2>
      <p className="text-sm text-soft">Kept for 400 days. Counts on court carry their own names.</p>
      {lines.length === 0 && <p className="mt-2 text-soft">Nothing yet.</p>}
      <ol className="mt-2" data-audit>
        {lines.map(({ id, atMs, who, what, about, times, seq }) => (
          <li
            key={id}
            className="grid gap-x-4 border-t border-line py-1 sm:grid-cols-[12rem_1fr_8rem] sm:items-baseline"
          >
            <span className="tabular text-sm text-soft">{momentAt(atMs, zone)}</span>
            <span>
              <span className="font-semibold">{who || 'Whoever sat here'}</span> {inWords(what)}
              {about.length > 0 && `: ${about.join(', ')}`}
              {times > 1 && ` (${times} times)`}
            </span>
            <span className="tabular text-sm text-soft sm:text-right">mark {seq}</span>
          </li>
        ))}
      </ol>
      {error && <ErrorNote>{error}</ErrorNote>}
      {more && (
        <Button className="mt-2" onClick={() => void load()}>
          Show older
        </Button>
      )}
    </Sheet>
  );
}
