'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import type { Problem } from '@/core/base/outcome';
import { daysLater } from '@/core/plan/weekly';
import type { Book } from '@/drills';
import { changeVowAction, makeVowAction, previewVowAction } from '@/server/actions/vows';
import type { VowFormView } from '@/server/views/vows';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { hearsVow } from '@/session/vows/ears';
import { ButtonLink } from '@/ui/button-link';
import { ErrorNote } from '@/ui/field';
import { PageHead, Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';
import { useWholeBook } from '@/ui/whole-book';
import { partOf, type Form, type Preview } from './form';
import { Comes } from './form-comes';
import { offered, Parts } from './form-parts';
import { When } from './form-when';
import { HomeCard } from './home-card';

interface Props {
  readonly view: VowFormView;
  /** What was asked for: a drill, a step, and where the coach came from. */
  readonly drillId?: string;
  readonly stepId?: string;
  /** Strokes of a shadow sequence to begin with. */
  readonly strokes?: string;
  readonly back: string;
}

/** Two weeks, on the days of school: what is filled in at first is a vow already. */
const usualSpan = 13;

function firstForm(
  book: Book,
  view: VowFormView,
  { drillId, stepId, strokes }: Pick<Props, 'drillId' | 'stepId' | 'strokes'>,
): Form {
  const { changes, today, facts, standing } = view;
  if (changes) return { ...changes.vow, fromDay: changes.fromDay, untilDay: changes.untilDay };
  const { fit } = offered(book, view);
  const asked = drillId === undefined ? undefined : book.drill(drillId, facts.id);
  const drill = asked ?? fit.find(({ id }) => standing[id]) ?? fit[0] ?? book.drills[0]!;
  const wanted = stepId ?? standing[drill.id];
  const step = drill.steps.find(({ id }) => id === wanted) ?? drill.steps[0]!;
  return {
    parts: [{ ...partOf(drill, step, facts.age), ...(strokes && { strokes }) }],
    aim: { kind: 'mark' },
    weekdays: [1, 2, 3, 4, 5],
    minutes: 5,
    growth: 0.1,
    atTime: null,
    alarm: false,
    byEar: false,
    fromDay: today,
    untilDay: daysLater(today, usualSpan),
  };
}

/** The preview of what is on the form, a moment after it was changed; older answers are passed over. */
function usePreview(form: Form, playerId: string, exceptId: string | null, homeVersion: number) {
  const [answer, setAnswer] = useState<{ preview: Preview | null; problems: readonly Problem[] }>({
    preview: null,
    problems: [],
  });
  const asked = useRef(0);
  useEffect(() => {
    const turn = ++asked.current;
    const timer = setTimeout(() => {
      void ask(() => previewVowAction(playerId, form, exceptId)).then((outcome) => {
        if (turn !== asked.current) return;
        setAnswer(
          outcome.ok
            ? { preview: outcome.value, problems: outcome.value.problems }
            : { preview: null, problems: outcome.problems },
        );
      });
    }, 200);
    return () => clearTimeout(timer);
  }, [form, playerId, exceptId, homeVersion]);
  return answer;
}

/** A vow as it is made or changed: on the left what is promised, on the right what that comes to. */
export function VowFormPage({ view, drillId, stepId, strokes, back }: Props) {
  const { facts, changes } = view;
  const book = useWholeBook();
  const router = useRouter();
  const notice = useNotice();
  const [form, setForm] = useState(() => firstForm(book, view, { drillId, stepId, strokes }));
  const [sent, setSent] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const [homeVersion, setHomeVersion] = useState(0);
  const { preview, problems } = usePreview(form, facts.id, changes?.id ?? null, homeVersion);
  const set = (more: Partial<Form>) => {
    setSent([]);
    setForm((now) => ({ ...now, ...more }));
  };
  const all = sent.length > 0 ? sent : problems;
  const errorOf = (field: string) =>
    all.find((one) => one.field === field || one.field.startsWith(`${field}[`))?.message;
  const loose = all.filter(
    ({ field }) => !['weekdays', 'minutes', 'fromDay', 'untilDay', 'atTime', 'aim'].includes(field),
  );
  const send = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    const outcome = changes
      ? await ask(() => changeVowAction(changes.id, form))
      : await ask(() => makeVowAction(facts.id, form));
    setBusy(false);
    if (!outcome.ok) return setSent(outcome.problems);
    notice({ text: changes ? 'Changed from today on.' : `${facts.name} has a vow.` });
    router.push(outcome.value ? `/vows/${outcome.value.id}/card` : back);
  };
  return (
    <>
      <PageHead
        title={changes ? `Change ${facts.name}’s vow` : `A vow with ${facts.name}`}
        actions={<ButtonLink href={back}>Back</ButtonLink>}
      >
        {facts.age} years · {facts.sport}
        {facts.focus && ` · working on: ${facts.focus}`}
      </PageHead>
      <form
        onSubmit={(event) => void send(event)}
        noValidate
        className="grid items-start gap-4 lg:grid-cols-[1fr_24rem]"
      >
        <div className="space-y-4">
          <Parts form={form} view={view} book={book} set={set} />
          <When
            form={form}
            set={set}
            errorOf={errorOf}
            today={view.today}
            hears={hearsVow(book, form, facts.id)}
          />
        </div>
        <div className="space-y-4 lg:sticky lg:top-4">
          <Sheet className="space-y-3 p-4" aria-label="What it comes to">
            {loose.map(({ field, message }) => (
              <ErrorNote key={field + message}>{message}</ErrorNote>
            ))}
            <Comes preview={preview} form={form} book={book} playerId={facts.id} set={set} />
            <Button
              type="submit"
              look="now"
              className="w-full"
              disabled={busy || preview === null || preview.problems.length > 0 || preview.days.length === 0}
            >
              {changes ? 'Change it from today' : 'Make the vow'}
            </Button>
          </Sheet>
          <HomeCard
            playerId={facts.id}
            home={view.home}
            said={view.homeSaid}
            onSaved={() => {
              setHomeVersion((one) => one + 1);
              router.refresh();
            }}
          />
        </div>
      </form>
    </>
  );
}
