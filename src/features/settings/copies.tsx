'use client';

import { History } from 'lucide-react';
import { useState } from 'react';
import { counted, inThousands } from '@/core/base/words';
import { aboutCopyAction, restoreCopyAction } from '@/server/actions/doors';
import type { CopyFacts, OwnersView } from '@/server/views/settings';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { momentAt } from '@/ui/dates';
import { Dialog } from '@/ui/dialog';
import { ErrorNote } from '@/ui/field';
import { Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';
import { TakeLink } from '../access/take-link';
import { holdsInWords } from './holds-in-words';

type About = Extract<Awaited<ReturnType<typeof aboutCopyAction>>, { ok: true }>['value'];

const megabytes = (bytes: number) => `${(bytes / 1_000_000).toFixed(1)} MB`;

/** The copies there are, to take away or to put back. */
export function Copies({ owners, zone }: { readonly owners: OwnersView; readonly zone?: string }) {
  const { copies, holds } = owners;
  const notice = useNotice();
  const [about, setAbout] = useState<About | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const look = async (name: string) => {
    setBusy(true);
    const outcome = await ask(() => aboutCopyAction(name));
    setBusy(false);
    if (outcome.ok) setAbout(outcome.value);
    else notice({ text: problemsText(outcome), tone: 'stop' });
  };
  const restore = async (name: string) => {
    setBusy(true);
    const outcome = await ask(() => restoreCopyAction(name));
    setBusy(false);
    if (!outcome.ok) return setProblem(problemsText(outcome));
    setAbout(null);
    notice({
      text: `${name} is the book now. The one before is kept${outcome.value.kept ? ` as ${outcome.value.kept}` : ''}.`,
    });
    // Everything shown is of the book before.
    setTimeout(() => location.reload(), 1500);
  };
  return (
    <Sheet className="p-4" aria-label="Copies">
      <h2 className="text-lg">Copies of the book</h2>
      {copies.length === 0 && <p className="text-soft">None yet.</p>}
      <ul>
        {copies.map((copy) => (
          <Copy
            key={copy.name}
            copy={copy}
            now={holds}
            zone={zone}
            busy={busy}
            onRestore={() => void look(copy.name)}
          />
        ))}
      </ul>
      <Dialog
        open={about !== null}
        onOpenChange={(on) => {
          if (on || busy) return;
          setAbout(null);
          setProblem(null);
        }}
        title="Put this copy back?"
        intro="It was looked through just now and is sound."
      >
        {about && (
          <div className="space-y-3">
            <Comparison about={about} zone={zone} />
            {problem && <ErrorNote>{problem}</ErrorNote>}
            <div className="flex flex-wrap gap-2">
              <Button look="stop" disabled={busy} onClick={() => void restore(about.name)}>
                <History aria-hidden size={18} /> {busy ? 'Putting it back…' : 'Put it back'}
              </Button>
              <Button disabled={busy} onClick={() => setAbout(null)}>
                Leave the book as it is
              </Button>
            </div>
          </div>
        )}
      </Dialog>
    </Sheet>
  );
}

/** What the copy has, what the book has now, and what would be lost. */
function Comparison({ about, zone }: { readonly about: About; readonly zone?: string }) {
  const { holds, now, older, erased, madeMs, name } = about;
  const rows = [
    ['Players', holds.players, now.players],
    ['Sessions', holds.sessions, now.sessions],
    ['Marks', holds.marks, now.marks],
  ] as const;
  return (
    <>
      <p className="font-semibold break-all">
        {name}, of {momentAt(madeMs, zone)}
      </p>
      <table className="tabular w-full text-left">
        <thead>
          <tr className="text-sm text-soft">
            <th className="font-normal">&nbsp;</th>
            <th className="font-normal">In the copy</th>
            <th className="font-normal">In the book now</th>
            <th className="font-normal">Would go</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([what, has, is]) => (
            <tr key={what} className="border-t border-line">
              <th scope="row" className="py-1 font-semibold">
                {what}
              </th>
              <td>{inThousands(has)}</td>
              <td>{inThousands(is)}</td>
              <td className={is > has ? 'font-semibold text-stop' : ''}>
                {is > has ? inThousands(is - has) : 'none'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <ul className="list-disc space-y-1 pl-5 text-sm">
        <li>The book as it is now is kept beside it first, under another name.</li>
        <li>What was changed since the copy goes too, even where the numbers are the same.</li>
        <li>Tablets that have counts the copy lacks offer them again.</li>
        <li>Coaches, passcodes and what was withdrawn stay as they are now.</li>
        {older && <li>It is of an earlier version, and is brought up to date.</li>}
        {erased > 0 && (
          <li>
            {counted(erased, 'child', 'children')} removed for good since {erased === 1 ? 'stays' : 'stay'}{' '}
            removed.
          </li>
        )}
      </ul>
    </>
  );
}

interface CopyProps {
  readonly copy: CopyFacts;
  readonly now: CopyFacts['holds'];
  readonly zone?: string;
  readonly busy: boolean;
  readonly onRestore: () => void;
}

function Copy({ copy, now, zone, busy, onRestore }: CopyProps) {
  const { name, bytes, madeMs, holds } = copy;
  const lacks = holds && now ? now.marks - holds.marks : 0;
  return (
    <li className="flex flex-wrap items-center gap-x-4 border-t border-line py-1.5" data-copy={name}>
      <div className="min-w-56 flex-1">
        <p className="font-semibold break-all">{name}</p>
        <p className="text-sm text-soft">
          {momentAt(madeMs, zone)}, {megabytes(bytes)}; {holds ? holdsInWords(holds) : 'it cannot be read'}
          {lacks > 0 && `; ${counted(lacks, 'mark')} fewer than now`}
        </p>
      </div>
      <div className="flex gap-2">
        <TakeLink href={`/api/copies/${name}`}>
          Take away<span className="sr-only"> {name}</span>
        </TakeLink>
        <Button look="quiet" disabled={busy} onClick={onRestore}>
          Put back…<span className="sr-only"> {name}</span>
        </Button>
      </div>
    </li>
  );
}
