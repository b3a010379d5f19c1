import { Link } from '@/ui/link';
import type { ReactNode } from 'react';
import { counted } from '@/core/base/words';
import type { FindView } from '@/server/views/find';
import { dayAt, shortDay } from '@/ui/dates';
import { PageHead, Sheet } from '@/ui/page-head';
import { FindBox } from './find-box';

/** Players, sessions, drills, shadow sequences and notes by some words. */
export function Find({ view }: { readonly view: FindView }) {
  const { words, players, sessions, drills, sequences, notes } = view;
  const all = [players, sessions, drills, sequences, notes].reduce((sum, { length }) => sum + length, 0);
  return (
    <>
      <PageHead title="Find">Players, sessions, drills, shadow sequences and notes, by any word.</PageHead>
      <FindBox key={words} words={words} />
      {words !== '' && (
        <p role="status" className="my-3 text-soft">
          {all === 0
            ? `Nothing has “${words}” in it. Try fewer words, or another one.`
            : `${counted(all, 'thing')} found for “${words}”.`}
        </p>
      )}
      <div className="grid items-start gap-4 md:grid-cols-2">
        <Kind title="Players" of={players.length}>
          {players.map(({ id, name, about }) => (
            <Found key={id} href={`/players/${id}`} name={name} about={about} />
          ))}
        </Kind>
        <Kind title="Drills" of={drills.length}>
          {drills.map(({ id, title, about }) => (
            <Found key={id} href={`/drills/${id}`} name={title} about={about} />
          ))}
        </Kind>
        <Kind title="Sessions" of={sessions.length}>
          {sessions.map(({ id, title, day, held, about }) => (
            <Found
              key={id}
              href={`/sessions/${id}/${held ? 'review' : 'plan'}`}
              name={`${shortDay(day)} ${title}`}
              about={about}
            />
          ))}
        </Kind>
        <Kind title="Shadow sequences" of={sequences.length}>
          {sequences.map(({ id, name, about }) => (
            <Found key={id} href={`/drills/sequences?of=${id}`} name={name} about={about} />
          ))}
        </Kind>
        <Kind title="Notes" of={notes.length}>
          {notes.map(({ id, text, atMs, about, href }) => (
            <Found key={id} href={href} name={text} about={`${about}, ${dayAt(atMs)}`} />
          ))}
        </Kind>
      </div>
    </>
  );
}

function Kind({ title, of, children }: { title: string; of: number; children: ReactNode }) {
  if (of === 0) return null;
  return (
    <Sheet className="p-4" aria-label={title}>
      <h2 className="mb-1 text-lg">{title}</h2>
      <ul>{children}</ul>
    </Sheet>
  );
}

function Found({ href, name, about }: { href: string; name: string; about: string }) {
  return (
    <li className="border-t border-line">
      <Link href={href} className="block min-h-11 py-1.5 leading-snug hover:bg-chalk">
        <span className="font-semibold break-words">{name}</span>
        <span className="block text-sm text-soft">{about}</span>
      </Link>
    </li>
  );
}
