'use client';

import { FileUp } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { Problem } from '@/core/base/outcome';
import type { TableLook, TookOver } from '@/server/views/files';
import { Button } from '@/ui/button';
import { ErrorNote } from '@/ui/field';
import { useHydrated } from '@/ui/hydrated';
import { Sheet } from '@/ui/page-head';
import { sendFile } from '@/ui/send-file';
import { useNotice } from '@/ui/toast';
import { BookPreview } from './book-preview';
import { sendTable, type SentTable } from './send-table';
import { TablePreview } from './table-preview';

type Chosen =
  | { readonly kind: 'book'; readonly file: File; readonly text: string; readonly look: TookOver }
  | {
      readonly kind: 'table';
      readonly file: File;
      readonly table: SentTable['table'];
      readonly look: TableLook;
    };

/** A file is chosen, looked through, shown, and only then taken over. */
export function BringIn() {
  const router = useRouter();
  const notice = useNotice();
  const alive = useHydrated();
  const input = useRef<HTMLInputElement>(null);
  const [table, setTable] = useState<'squad' | 'sessions'>('squad');
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [share, setShare] = useState<{ word: string; share: number } | null>(null);
  const leaving = useRef<AbortController | null>(null);

  const working = async (work: (signal: AbortSignal) => Promise<void>) => {
    leaving.current = new AbortController();
    setShare({ word: 'Sending', share: 0 });
    await work(leaving.current.signal);
    setShare(null);
  };
  const onShare = (done: number, word: string) => setShare({ word, share: done });
  const book = (text: string, query: string, signal: AbortSignal) =>
    sendFile<TookOver>(`/api/book?${query}`, text, onShare, signal);

  const look = (file: File) =>
    working(async (signal) => {
      setProblems([]);
      setChosen(null);
      // A bundle begins as JSON does; whatever else it is called, it is read as a table.
      const text = file.size <= mostBytes ? await file.text() : '';
      if (file.size > mostBytes)
        return setProblems([
          { field: 'file', message: 'This file is over 64 MB: it is no book of Vow Step.' },
        ]);
      if (/^\s*[{[]/.test(text) || file.name.endsWith('.json')) {
        const outcome = await book(text, 'look=1', signal);
        if (outcome.ok) setChosen({ kind: 'book', file, text, look: outcome.value });
        else setProblems(outcome.problems);
        return;
      }
      const outcome = await sendTable({ table, file, look: true, signal });
      if (outcome.ok) setChosen({ kind: 'table', file, table, look: outcome.value as TableLook });
      else setProblems(outcome.problems);
    });

  const remap = (mapping: TableLook['mapping']) =>
    working(async (signal) => {
      if (chosen?.kind !== 'table') return;
      const outcome = await sendTable({
        table: chosen.table,
        file: chosen.file,
        look: true,
        mapping,
        signal,
      });
      if (outcome.ok) setChosen({ ...chosen, look: outcome.value as TableLook });
      else setProblems(outcome.problems);
    });

  const takeOver = (replace: boolean) =>
    working(async (signal) => {
      if (!chosen) return;
      const outcome =
        chosen.kind === 'book'
          ? await book(
              chosen.text,
              `replace=${replace ? 1 : 0}&name=${encodeURIComponent(chosen.file.name)}`,
              signal,
            )
          : await sendTable({
              table: chosen.table,
              file: chosen.file,
              look: false,
              signal,
              mapping: chosen.look.mapping,
            });
      if (!outcome.ok) return setProblems(outcome.problems);
      close();
      notice({ text: `${chosen.file.name} is taken over. It can be taken back here.` });
      router.refresh();
    });

  const close = () => {
    setChosen(null);
    setProblems([]);
    if (input.current) input.current.value = '';
  };

  return (
    <Sheet className="p-4" aria-label="Bring in">
      <h2 className="text-lg">Bring a file in</h2>
      <p className="text-soft">
        A file with a book (JSON), or a table (CSV). You see what it would do first; nothing is written before
        you say so.
      </p>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <Button look="now" disabled={!alive || share !== null} onClick={() => input.current?.click()}>
          <FileUp aria-hidden size={18} /> Choose a file
        </Button>
        <label className="flex items-center gap-2">
          <span>A table is of</span>
          <select
            value={table}
            onChange={(event) => setTable(event.target.value as 'squad' | 'sessions')}
            className="min-h-11 rounded-md border-2 border-edge bg-sheet px-2"
          >
            <option value="squad">the squad</option>
            <option value="sessions">sessions</option>
          </select>
        </label>
        <input
          ref={input}
          type="file"
          accept=".json,.csv,.txt,application/json,text/csv"
          aria-label="File to bring in"
          className="sr-only"
          tabIndex={-1}
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) void look(file);
          }}
        />
      </div>
      {share && (
        <div className="mt-3 flex items-center gap-3">
          <progress max={1} value={share.share} aria-label={share.word} className="h-3 flex-1" />
          <span role="status">{share.word}…</span>
          <Button onClick={() => leaving.current?.abort()}>Leave it</Button>
        </div>
      )}
      {problems.length > 0 && (
        <div className="mt-3">
          <ErrorNote>
            {problems.slice(0, 8).map(({ field, message }) => (
              <span key={`${field} ${message}`} className="block">
                {message}
              </span>
            ))}
            {problems.length > 8 && <span className="block">And {problems.length - 8} more.</span>}
          </ErrorNote>
        </div>
      )}
      {chosen?.kind === 'book' && (
        <BookPreview
          name={chosen.file.name}
          look={chosen.look}
          busy={share !== null}
          onTake={(replace) => void takeOver(replace)}
          onLeave={close}
        />
      )}
      {chosen?.kind === 'table' && (
        <TablePreview
          name={chosen.file.name}
          look={chosen.look}
          busy={share !== null}
          onMap={(mapping) => void remap(mapping)}
          onTake={() => void takeOver(false)}
          onLeave={close}
        />
      )}
    </Sheet>
  );
}

const mostBytes = 64 * 2 ** 20;
