'use client';

import { Download, Upload } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { counted, percent } from '@/core/base/words';
import type { BoardView } from '@/server/views/challenges';
import { Button } from '@/ui/button';
import { ErrorNote, Field } from '@/ui/field';
import { Sheet } from '@/ui/page-head';
import { saveFile } from '@/ui/save-file';
import { useNotice } from '@/ui/toast';

interface Answer {
  readonly club?: string;
  readonly problems?: readonly { readonly message: string }[];
}

const problemOf = async (answer: Response): Promise<string> =>
  ((await answer.json().catch(() => ({}))) as Answer).problems?.[0]?.message ??
  'The server did not answer: try again.';

/** Against another club: our results as a file without names, theirs beside ours. */
export function Clubs({ view: { challenge, clubs } }: { readonly view: BoardView }) {
  const [club, setClub] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const router = useRouter();
  const notice = useNotice();
  const at = `/api/challenges/${challenge.id}`;
  const take = async () => {
    const answer = await fetch(`${at}?club=${encodeURIComponent(club)}`).catch(() => null);
    if (!answer?.ok) return setProblem(answer ? await problemOf(answer) : 'The server cannot be reached.');
    setProblem(null);
    saveFile('vowstep-challenge.json', await answer.blob());
  };
  const bring = async (file: File) => {
    const answer = await fetch(at, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: await file.text(),
    }).catch(() => null);
    if (!answer?.ok) return setProblem(answer ? await problemOf(answer) : 'The server cannot be reached.');
    setProblem(null);
    const { club: theirs } = (await answer.json()) as Answer;
    notice({ text: `${theirs} stands on the board.` });
    router.refresh();
  };
  const scored = (score: number) =>
    challenge.kind === 'pairs'
      ? `${score} in turn`
      : challenge.kind === 'together'
        ? counted(score, 'touch', 'touches')
        : challenge.kind === 'best'
          ? `${percent(score)} with a new best`
          : `better than ${percent(score)} of own days`;
  return (
    <Sheet aria-label="Against another club" className="p-4 print:border-0">
      <h2 className="text-lg">Against another club</h2>
      {clubs.length > 0 && (
        <ul className="mb-2">
          {clubs.map(({ name, players, score }) => (
            <li key={name} className="border-b border-line py-1 last:border-0" data-club={name}>
              <strong>{name}</strong>, {counted(players, 'player')}: {scored(score)}
            </li>
          ))}
        </ul>
      )}
      <div className="space-y-2 print:hidden">
        {problem && <ErrorNote>{problem}</ErrorNote>}
        <Field label="Your club" hint="The file holds numbers and no names.">
          <input
            value={club}
            maxLength={60}
            autoComplete="off"
            onChange={(event) => setClub(event.target.value)}
          />
        </Field>
        <div className="flex flex-wrap gap-2">
          <Button className="px-2 text-sm" disabled={club.trim() === ''} onClick={() => void take()}>
            <Download aria-hidden size={16} /> Take ours
          </Button>
          <label className="inline-flex min-h-11 cursor-pointer items-center gap-2 rounded-md border-2 border-edge px-2 text-sm font-semibold hover:bg-chalk has-focus-visible:outline-3 has-focus-visible:outline-now">
            <Upload aria-hidden size={16} /> Bring theirs in
            <input
              type="file"
              accept="application/json,.json"
              className="sr-only"
              onChange={(event) => {
                const file = event.target.files?.[0];
                event.target.value = '';
                if (file) void bring(file);
              }}
            />
          </label>
        </div>
      </div>
    </Sheet>
  );
}
