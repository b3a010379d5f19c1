import type { ReactNode } from 'react';
import type { Book } from '@/drills';
import { PrintButton } from '@/features/plan/paper/print-button';
import type { Everything as All } from '@/server/views/everything';
import { buttonClass } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { PageHead, Sheet } from '@/ui/page-head';
import { parts, wordsOf } from './everything-parts';

/** Everything the book holds about one child, to be read and printed by their family. */
export function Everything({ view, book }: { readonly view: All; readonly book: Book }) {
  const { player } = view;
  const words = wordsOf(book, player.id);
  return (
    <>
      <PageHead
        title={`Everything about ${player.name}`}
        actions={
          <>
            <ButtonLink href={`/players/${player.id}`}>Back</ButtonLink>
            <a className={buttonClass()} href={`/players/${player.id}/everything.json`} download>
              As a file
            </a>
            <PrintButton />
          </>
        }
      >
        All this book holds about one child. Nothing here is about anybody else.
      </PageHead>
      <div className="space-y-3">
        {Object.entries(parts).map(([list, part]) =>
          'with' in part ? null : (
            <PartSheet key={list} title={typeof part.title === 'string' ? part.title : part.title(view)}>
              {part.lines(view, words).map(({ key, name, says }) => (
                <Row key={key} name={name}>
                  {says}
                </Row>
              ))}
            </PartSheet>
          ),
        )}
      </div>
    </>
  );
}

function PartSheet({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  const empty = Array.isArray(children) && children.flat().length === 0;
  return (
    <Sheet className="p-3 print:break-inside-auto" aria-label={title}>
      <h2 className="text-lg">{title}</h2>
      {empty ? <p className="text-soft">Nothing.</p> : <dl className="text-sm">{children}</dl>}
    </Sheet>
  );
}

function Row({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <div className="grid border-t border-line py-0.5 sm:grid-cols-[18rem_1fr]">
      <dt className="text-soft">{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}
