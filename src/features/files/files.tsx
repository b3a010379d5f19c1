'use client';

import { Download } from 'lucide-react';
import type { ReactNode } from 'react';
import { TakeLink } from '../access/take-link';
import type { FilesView } from '@/server/views/files';
import { PageHead, Sheet } from '@/ui/page-head';
import { buttonClass } from '@/ui/button';
import { BringIn } from './bring-in';
import { Brought } from './brought';

const tables = [
  {
    href: '/api/tables/squad',
    title: 'Squad',
    says: 'who plays, as a table (CSV); it can be brought in again',
  },
  { href: '/api/tables/sessions', title: 'Sessions', says: 'days, places and who came, as a table (CSV)' },
  { href: '/api/tables/attempts', title: 'Tries', says: 'every result there is, a line each (CSV)' },
  { href: '/api/tables/touches', title: 'Marks', says: 'the whole log, a line each (CSV)' },
  { href: '/api/tables/challenges', title: 'Challenges', says: 'their boards, a line for each player (CSV)' },
] as const;

const parts = [
  { href: '/api/drills', title: 'Drills', says: 'the catalogue and your own, for another Vow Step' },
  { href: '/api/book?part=places', title: 'Places and kit', says: 'for another Vow Step' },
] as const;

const whole = {
  href: '/api/book',
  title: 'The whole book',
  says: 'players, sessions, plans, every mark; no passcodes, links or what was done',
} as const;

function Take({
  href,
  asks,
  children,
}: {
  readonly href: string;
  readonly asks: boolean;
  readonly children: ReactNode;
}) {
  if (asks)
    return (
      <TakeLink href={href} look="quiet">
        {children}
      </TakeLink>
    );
  return (
    <a href={href} download className={buttonClass('quiet')}>
      {children}
    </a>
  );
}

/** What goes out of the book as a file, and what comes in. */
export function Files({ view }: { readonly view: FilesView }) {
  const zone = view.zone || undefined;
  return (
    <>
      <PageHead title="Files">
        Open formats, in and out. They hold children’s data: keep them as you keep the book.
      </PageHead>
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_24rem]">
        <div className="min-w-0 space-y-4">
          {view.owner && <BringIn />}
          {view.brought.length > 0 && <Brought brought={view.brought} zone={zone} />}
          {!view.owner && (
            <Sheet className="p-4" aria-label="Bring in">
              <h2 className="text-lg">Bring a file in</h2>
              <p className="text-soft">An owner does this. Drills are brought in on the list of drills.</p>
            </Sheet>
          )}
        </div>
        <Sheet className="p-4" aria-label="Take away">
          <h2 className="text-lg">Take away</h2>
          <ul>
            {[...(view.owner ? [whole, ...tables] : []), ...parts].map(({ href, title, says }) => (
              <li key={href} className="flex items-center gap-3 border-t border-line py-1.5">
                <p className="flex-1">
                  <span className="font-semibold">{title}</span>
                  <span className="block text-sm text-soft">{says}</span>
                </p>
                <Take href={href} asks={!parts.some((part) => part.href === href)}>
                  <Download aria-hidden size={18} />
                  <span className="sr-only">{title}: </span>Take
                </Take>
              </li>
            ))}
          </ul>
          <p className="mt-2 text-sm text-soft">
            {view.owner ? '' : 'The whole book and its tables are an owner’s to take. '}A session is taken on
            its plan, everything about a child on their page, the calendar in Settings.
          </p>
        </Sheet>
      </div>
    </>
  );
}
