'use client';

import { Upload } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { counted } from '@/core/base/words';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { useNotice } from '@/ui/toast';
import { sendFile } from '@/ui/send-file';

/** More than this is no file of drills: the server takes no more either. */
const mostBytes = 3 * 1024 * 1024;

interface Imported {
  readonly ids: readonly string[];
  readonly same: number;
}

/** Brings drills in from a file: all of them or none, with what is wrong said by drill and field. */
export function BringIn() {
  const input = useRef<HTMLInputElement>(null);
  const leave = useRef<AbortController | null>(null);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [far, setFar] = useState<{ readonly percent: number; readonly word: string } | null>(null);
  const notice = useNotice();
  const router = useRouter();
  useEffect(() => () => leave.current?.abort(), []);

  const take = async (file: File) => {
    if (file.size > mostBytes)
      return setProblems([`${file.name} is too big: a file of drills has at most 3 MB.`]);
    const text = await file.text();
    try {
      JSON.parse(text);
    } catch {
      return setProblems([`${file.name} is no JSON: choose a file that was taken away from Vow Step.`]);
    }
    const gone = (leave.current = new AbortController());
    setFar({ percent: 0, word: 'Sending' });
    const outcome = await sendFile<Imported>(
      '/api/drills',
      text,
      (share, word) => setFar({ percent: Math.round(100 * share), word }),
      gone.signal,
    );
    setFar(null);
    if (gone.signal.aborted) return;
    if (!outcome.ok) return setProblems(outcome.problems.map((problem) => problem.message));
    notice({ text: inWords(outcome.value) });
    const [only, more] = outcome.value.ids;
    if (only && !more) router.push(`/drills/${only}`);
    router.refresh();
  };

  return (
    <>
      <Button look="quiet" onClick={() => input.current?.click()}>
        <Upload aria-hidden size={18} /> Bring in a file
      </Button>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        aria-label="File of drills"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void take(file);
        }}
      />
      <Dialog
        open={far !== null}
        onOpenChange={() => leave.current?.abort()}
        title="Bringing drills in"
        intro="All of them or none."
      >
        <p role="status" className="tabular mb-2">
          {far?.word}: {far?.percent} %
        </p>
        <progress aria-label="How far it is" max={100} value={far?.percent ?? 0} className="mb-4 w-full" />
        <Button onClick={() => leave.current?.abort()}>Leave it</Button>
      </Dialog>
      <Dialog
        open={problems.length > 0}
        onOpenChange={() => setProblems([])}
        title="Nothing was brought in"
        intro="Mend the file and bring it in again."
      >
        <ul className="list-disc space-y-1 pl-5">
          {problems.map((problem) => (
            <li key={problem}>{problem}</li>
          ))}
        </ul>
      </Dialog>
    </>
  );
}

function inWords({ ids, same }: Imported): string {
  const here = same > 0 ? `${counted(same, 'drill')} ${same === 1 ? 'was' : 'were'} here already` : '';
  if (ids.length === 0) return `Nothing new: ${here}.`;
  return `${counted(ids.length, 'drill')} brought in${here && `; ${here}`}.`;
}
