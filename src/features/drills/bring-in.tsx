'use client';

import { Upload } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { counted } from '@/core/words';
import { importDrillsAction } from '@/server/actions';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { useNotice } from '@/ui/toast';

/** More than this is no file of drills: ours. */
const mostBytes = 3_000_000;

/** Brings drills in from a file: all of them or none, with what is wrong said by drill and field. */
export function BringIn() {
  const input = useRef<HTMLInputElement>(null);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const notice = useNotice();
  const router = useRouter();

  const take = async (file: File) => {
    if (file.size > mostBytes)
      return setProblems([`${file.name} is too big: a file of drills has at most 3 MB.`]);
    let content: unknown;
    try {
      content = JSON.parse(await file.text());
    } catch {
      return setProblems([`${file.name} is no JSON: choose a file that was taken away from Vow Step.`]);
    }
    const outcome = await ask(() => importDrillsAction(content));
    if (!outcome.ok) return setProblems(outcome.problems.map((problem) => problem.message));
    notice({ text: `${counted(outcome.value.ids.length, 'drill')} brought in.` });
    if (outcome.value.ids.length === 1) router.push(`/drills/${outcome.value.ids[0]!}`);
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
