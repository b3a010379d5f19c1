'use client';

import {
  Ellipsis,
  Heart,
  Pause,
  PencilLine,
  Play,
  Printer,
  RefreshCw,
  Shrink,
  Square,
  Trash2,
  Undo2,
} from 'lucide-react';
import { Link } from '@/ui/link';
import { useState, type FormEvent } from 'react';
import type { Outcome } from '@/core/base/outcome';
import {
  endVowAction,
  pauseVowAction,
  removeVowAction,
  renewVowAction,
  resumeVowAction,
  thankForVowAction,
} from '@/server/actions/vows';
import type { VowLine } from '@/server/views/vows';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { Dialog } from '@/ui/dialog';
import { ErrorNote, Field } from '@/ui/field';
import { useNotice } from '@/ui/toast';
import { Strip } from './strip';
import { feltWords, keptWords, stateWords } from './words';

interface Props {
  readonly line: VowLine;
  readonly today: string;
  /** On a player’s own page their name stands above. */
  readonly named: boolean;
}

/** One vow: what it is, how it is kept, and what a coach can do about it. */
export function VowRow({ line, today, named }: Props) {
  const felt = feltWords(line.felt);
  const [more, setMore] = useState(false);
  return (
    <li
      className="rounded-md border-2 border-line bg-sheet p-3"
      data-vow={line.title}
      data-state={line.state}
    >
      <div className="grid items-start gap-x-6 gap-y-2 md:grid-cols-[minmax(0,1fr)_15rem_14rem_auto]">
        <div className="min-w-0">
          <h3 className="text-lg">
            {named && (
              <>
                <Link
                  href={`/players/${line.playerId}/vows`}
                  className="hit underline-offset-4 hover:underline"
                >
                  {line.name}
                </Link>
                {': '}
              </>
            )}
            {line.title}
          </h3>
          <p className="text-sm">{line.words}</p>
          <p className="text-sm text-soft">{line.when}</p>
        </div>
        <div>
          <Strip days={line.strip} today={today} />
          <p className="mt-1 text-sm">{keptWords(line)}</p>
        </div>
        <div className="text-sm">
          <p className="font-semibold">{stateWords(line)}</p>
          {line.touches > 0 && (
            <p>
              {line.touches} good ones at home
              {line.best === null ? '' : `, best ${line.best}`}
            </p>
          )}
          {felt && <p>{felt}</p>}
          {line.thanked && <p className="text-safe">Thanked</p>}
        </div>
        <Button
          look="quiet"
          aria-expanded={more}
          aria-label={`More on ${line.title}${named ? ` of ${line.name}` : ''}`}
          onClick={() => setMore(!more)}
        >
          <Ellipsis aria-hidden size={18} /> More
        </Button>
      </div>
      {line.keeping.offerSmaller && line.state === 'runs' && (
        <p className="mt-2 rounded-md bg-care-bg px-3 py-1 text-sm text-care">
          Three days in a row went by: a smaller one may fit better. “More” makes it smaller.
        </p>
      )}
      {more && <Deeds line={line} today={today} />}
    </li>
  );
}

function Deeds({ line, today }: Omit<Props, 'named'>) {
  const notice = useNotice();
  const [sheet, setSheet] = useState<'rest' | 'thank' | null>(null);
  const { id, state, title } = line;
  const tell = async <T,>(
    done: string,
    work: () => Promise<Outcome<T>>,
    undo?: () => Promise<Outcome<unknown>>,
  ) => {
    const outcome = await ask(work);
    notice(
      outcome.ok
        ? { text: done, ...(undo && { undo: () => void tell('Taken back.', undo) }) }
        : { text: problemsText(outcome), tone: 'stop' },
    );
    return outcome.ok;
  };
  const open = state === 'runs' || state === 'rests' || state === 'to come';
  return (
    <div className="mt-2 flex flex-wrap gap-1 border-t border-line pt-2">
      {open && (
        <ButtonLink look="quiet" href={`/vows/${id}/edit`}>
          <PencilLine aria-hidden size={18} /> Change
        </ButtonLink>
      )}
      <ButtonLink look="quiet" href={`/vows/${id}/card`}>
        <Printer aria-hidden size={18} /> Card
      </ButtonLink>
      {line.keeping.offerSmaller && state === 'runs' && (
        <Button
          look="quiet"
          onClick={() => void tell('A smaller one took its place.', () => renewVowAction(id, true))}
        >
          <Shrink aria-hidden size={18} /> Make it smaller
        </Button>
      )}
      {state === 'rests' ? (
        <Button look="quiet" onClick={() => void tell(`${title} goes on.`, () => resumeVowAction(id))}>
          <Play aria-hidden size={18} /> Go on
        </Button>
      ) : (
        open && (
          <Button look="quiet" onClick={() => setSheet('rest')}>
            <Pause aria-hidden size={18} /> Let it rest
          </Button>
        )
      )}
      {!open && (
        <Button
          look="quiet"
          onClick={() => void tell('Renewed from today.', () => renewVowAction(id, false))}
        >
          <RefreshCw aria-hidden size={18} /> Renew
        </Button>
      )}
      <Button look="quiet" onClick={() => setSheet('thank')}>
        <Heart aria-hidden size={18} /> Thank
      </Button>
      {open && (
        <Button
          look="quiet"
          onClick={() =>
            void tell(
              `${title} is ended.`,
              () => endVowAction(id, true, {}),
              () => endVowAction(id, false, {}),
            )
          }
        >
          <Square aria-hidden size={18} /> End it
        </Button>
      )}
      {state === 'ended' && (
        <Button
          look="quiet"
          onClick={() => void tell(`${title} goes on.`, () => endVowAction(id, false, {}))}
        >
          <Undo2 aria-hidden size={18} /> Let it go on
        </Button>
      )}
      <Button
        look="quiet"
        onClick={() =>
          void tell(
            `${title} was taken away. What was counted stays.`,
            () => removeVowAction(id, true),
            () => removeVowAction(id, false),
          )
        }
      >
        <Trash2 aria-hidden size={18} /> Take away
      </Button>
      <Dialog open={sheet === 'rest'} onOpenChange={(on) => setSheet(on ? 'rest' : null)} title="Let it rest">
        <RestForm
          today={today}
          onSend={async (form) => {
            const outcome = await ask(() => pauseVowAction(id, form));
            if (!outcome.ok) return problemsText(outcome);
            setSheet(null);
            notice({
              text: `${title} rests.`,
              undo: () => void tell('It goes on.', () => resumeVowAction(id)),
            });
            return null;
          }}
        />
      </Dialog>
      <Dialog
        open={sheet === 'thank'}
        onOpenChange={(on) => setSheet(on ? 'thank' : null)}
        title={`Thank ${line.name}`}
      >
        <ThankForm
          onSend={async (words) => {
            if (await tell(`${line.name} sees it on their page.`, () => thankForVowAction(id, { words })))
              setSheet(null);
          }}
        />
      </Dialog>
    </div>
  );
}

function RestForm({
  today,
  onSend,
}: {
  today: string;
  onSend: (form: { from: string; until: string | null; why: string }) => Promise<string | null>;
}) {
  const [from, setFrom] = useState(today);
  const [until, setUntil] = useState('');
  const [why, setWhy] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const send = async (event: FormEvent) => {
    event.preventDefault();
    setProblem(await onSend({ from, until: until || null, why }));
  };
  return (
    <form onSubmit={(event) => void send(event)} noValidate className="space-y-4">
      {problem && <ErrorNote>{problem}</ErrorNote>}
      <div className="grid grid-cols-2 gap-4">
        <Field label="From">
          <input type="date" value={from} onChange={(event) => setFrom(event.target.value)} />
        </Field>
        <Field label="Until" hint="Open: until you let it go on.">
          <input type="date" value={until} onChange={(event) => setUntil(event.target.value)} />
        </Field>
      </div>
      <Field label="Why" hint="Holidays, a cold: only coaches see it.">
        <input value={why} onChange={(event) => setWhy(event.target.value)} autoComplete="off" />
      </Field>
      <div className="flex justify-end">
        <Button type="submit" look="now">
          Let it rest
        </Button>
      </div>
    </form>
  );
}

function ThankForm({ onSend }: { onSend: (words: string) => Promise<void> }) {
  const [words, setWords] = useState('Thank you: you kept your vow.');
  return (
    <form
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        void onSend(words);
      }}
    >
      <Field label="What they read on their page">
        <input
          value={words}
          maxLength={200}
          onChange={(event) => setWords(event.target.value)}
          autoComplete="off"
        />
      </Field>
      <div className="flex justify-end">
        <Button type="submit" look="now">
          Thank them
        </Button>
      </div>
    </form>
  );
}
