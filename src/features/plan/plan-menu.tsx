'use client';

import { BookmarkPlus, MoreHorizontal, Printer, Ruler } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { asFileName } from '@/core/base/text';
import { PlanAgain } from '@/features/plan/sessions/again';
import { RemoveSession } from '@/features/plan/sessions/remove-session';
import { keepPatternAction, removePatternAction } from '@/server/actions';
import type { SessionPlanView } from '@/server/views/session-plan';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { Dialog } from '@/ui/dialog';
import { Field } from '@/ui/field';
import { FileButton } from '@/ui/file-button';
import { useNotice } from '@/ui/toast';

interface Props {
  readonly session: SessionPlanView['session'];
  readonly title: string;
  readonly today: string;
  /** Saves what is not saved yet: what is kept or printed is what is on the screen. */
  readonly flush: () => Promise<void>;
}

/** What can be done with a whole session besides planning and running it. */
export function PlanMenu({ session, title, today, flush }: Props) {
  const [open, setOpen] = useState(false);
  const wide = 'w-full justify-start';
  const file = asFileName(`${title} ${session.day}`);
  return (
    <>
      <Button look="quiet" onClick={() => setOpen(true)}>
        <MoreHorizontal aria-hidden size={18} /> More
      </Button>
      <Dialog open={open} onOpenChange={setOpen} title={title} startsAtField={false}>
        <div className="grid gap-2 sm:grid-cols-2">
          <ButtonLink className={wide} href={`/sessions/${session.id}/set-out`} onClick={() => void flush()}>
            <Ruler aria-hidden size={18} /> Set-out
          </ButtonLink>
          <ButtonLink className={wide} href={`/sessions/${session.id}/paper`} onClick={() => void flush()}>
            <Printer aria-hidden size={18} /> On paper
          </ButtonLink>
          <FileButton
            className={wide}
            address={`/sessions/${session.id}/paper.pdf`}
            name={`${file}.pdf`}
            before={flush}
          >
            As PDF
          </FileButton>
          <FileButton
            className={wide}
            address={`/api/book?part=session&id=${session.id}`}
            name={`${file}.json`}
            before={flush}
          >
            For another Vow Step
          </FileButton>
          <PlanAgain session={{ ...session, title }} today={today} />
          <RemoveSession id={session.id} title={title} removed={session.removed} />
        </div>
        <KeepPattern sessionId={session.id} title={title} flush={flush} onKept={() => setOpen(false)} />
      </Dialog>
    </>
  );
}

interface KeepProps {
  readonly sessionId: string;
  readonly title: string;
  readonly flush: () => Promise<void>;
  readonly onKept: () => void;
}

function KeepPattern({ sessionId, title, flush, onKept }: KeepProps) {
  const notice = useNotice();
  const [name, setName] = useState(title);
  const [problem, setProblem] = useState<string | undefined>();
  const keep = async (event: FormEvent) => {
    event.preventDefault();
    await flush();
    const outcome = await ask(() => keepPatternAction(sessionId, { title: name }));
    setProblem(outcome.ok ? undefined : problemsText(outcome));
    if (!outcome.ok) return;
    onKept();
    notice({
      text: `“${name.trim()}” is kept as a pattern: “Plan a session” can start from it.`,
      undo: () => void ask(() => removePatternAction(outcome.value.id, true)),
    });
  };
  return (
    <form noValidate onSubmit={(event) => void keep(event)} className="mt-4 border-t-2 border-line pt-3">
      <div className="flex items-start gap-2">
        <Field
          label="Keep as a pattern, named"
          hint="The blocks without the day, the place and the children."
          error={problem}
          className="flex-1"
        >
          <input value={name} onChange={(event) => setName(event.target.value)} autoComplete="off" />
        </Field>
        <Button type="submit" className="mt-7">
          <BookmarkPlus aria-hidden size={18} /> Keep
        </Button>
      </div>
    </form>
  );
}
