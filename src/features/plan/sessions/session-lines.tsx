'use client';

import { CalendarSync } from 'lucide-react';
import { Link } from '@/ui/link';
import { useState } from 'react';
import { counted } from '@/core/base/words';
import type { SessionLine } from '@/server/views/today';
import { shortDay } from '@/ui/dates';
import { Sheet } from '@/ui/page-head';
import { AgainDialog } from './again';

const states = { running: 'on court', finished: 'held' } as const;

function stateOf({ state, notHeld, day }: SessionLine, today: string): string {
  if (notHeld !== null) return `not held: ${notHeld}`;
  if (state !== 'planned') return states[state];
  return day < today ? 'not run' : 'planned';
}

/** A short list of sessions, each leading to its plan, or to its review when it was held. */
export function SessionLines({
  title,
  today,
  lines,
  empty,
}: {
  title: string;
  today: string;
  lines: readonly SessionLine[];
  empty: string;
}) {
  const [again, setAgain] = useState<SessionLine | null>(null);
  return (
    <Sheet className="p-4" aria-label={title}>
      <h2 className="mb-1 text-lg">{title}</h2>
      {lines.length === 0 && <p className="text-soft">{empty}</p>}
      <ul>
        {lines.map((session) => (
          <li key={session.id} className="flex items-center gap-1 border-t border-line">
            <Link
              href={`/sessions/${session.id}/${session.state === 'finished' ? 'review' : 'plan'}`}
              className="grid min-h-11 min-w-0 flex-1 items-center gap-x-3 py-1 hover:bg-chalk sm:grid-cols-[8.5rem_1fr_auto]"
            >
              <span className="tabular whitespace-nowrap">
                {shortDay(session.day)} {session.startTime}
              </span>
              <span className="font-semibold">{session.title}</span>
              <span className="text-sm text-soft">
                {counted(session.players.length, 'player')}, {counted(session.blockCount, 'block')},{' '}
                {stateOf(session, today)}
              </span>
            </Link>
            <button
              type="button"
              onClick={() => setAgain(session)}
              aria-label={`Plan ${session.title} again`}
              className="inline-flex size-11 shrink-0 items-center justify-center rounded-md hover:bg-chalk"
            >
              <CalendarSync aria-hidden size={18} />
            </button>
          </li>
        ))}
      </ul>
      <AgainDialog session={again} today={today} onClose={() => setAgain(null)} />
    </Sheet>
  );
}
