'use client';

import { Plus, X } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState, type FormEvent } from 'react';
import { longDay, shortDay } from '@/core/day-words';
import type { Dose } from '@/core/dose/dose';
import type { Problem } from '@/core/outcome';
import { daysLater } from '@/core/planning/weekly';
import { mostMinutes } from '@/core/planning/vow/plan';
import type { VowAim } from '@/core/planning/vow/vow';
import { counted } from '@/core/words';
import type { Book } from '@/drills';
import type { Drill, Step } from '@/drills/types';
import { DoseFields } from '@/features/plan/dose-fields';
import { changeVowAction, makeVowAction, previewVowAction } from '@/server/actions/vows';
import type { VowFormView } from '@/server/views/vows';
import { mayChoose, plainDose, shortDose } from '@/session/vow/card';
import { notAtHome } from '@/session/vow/home';
import type { VowMend } from '@/session/vow/propose';
import { mostParts, usualDose, type Vow, type VowPart } from '@/session/vow/vow';
import { ask } from '@/ui/ask';
import { Button, ButtonLink } from '@/ui/button';
import { cx } from '@/ui/class-names';
import { ErrorNote, Field } from '@/ui/field';
import { PageHead, Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';
import { useWholeBook } from '@/ui/whole-book';
import { HomeCard } from './home-card';

interface Props {
  readonly view: VowFormView;
  /** What was asked for: a drill, a step, and where the coach came from. */
  readonly drillId?: string;
  readonly stepId?: string;
  readonly back: string;
}

type Form = Vow & { readonly fromDay: string; readonly untilDay: string };
type Preview = Extract<Awaited<ReturnType<typeof previewVowAction>>, { ok: true }>['value'];

const dayNames = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
/** Two weeks, on the days of school: what is filled in at first is a vow already. */
const usualSpan = 13;

const partOf = (drill: Drill, step: Step, age: number): VowPart => ({
  drillId: drill.id,
  stepId: step.id,
  dose: usualDose(step, age),
  choices: [],
});

/** The drills a player could do at home, those that fit there first. */
function offered(book: Book, { facts, home }: VowFormView): { fit: Drill[]; other: Drill[] } {
  const all = book.drills.filter(({ sports }) => sports.includes(facts.sport));
  const fit = all.filter((drill) => notAtHome(drill, home, null).length === 0);
  return { fit, other: all.filter((drill) => !fit.includes(drill)) };
}

function firstForm(book: Book, view: VowFormView, drillId?: string, stepId?: string): Form {
  const { changes, today, facts, standing } = view;
  if (changes) return { ...changes.vow, fromDay: changes.fromDay, untilDay: changes.untilDay };
  const { fit } = offered(book, view);
  const asked = drillId === undefined ? undefined : book.drill(drillId, facts.id);
  const drill = asked ?? fit.find(({ id }) => standing[id]) ?? fit[0] ?? book.drills[0]!;
  const wanted = stepId ?? standing[drill.id];
  const step = drill.steps.find(({ id }) => id === wanted) ?? drill.steps[0]!;
  return {
    ...{
      parts: [partOf(drill, step, facts.age)],
      aim: { kind: 'mark' },
      weekdays: [1, 2, 3, 4, 5],
      minutes: 5,
    },
    ...{ growth: 0.1, atTime: null, alarm: false, fromDay: today, untilDay: daysLater(today, usualSpan) },
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
export function VowFormPage({ view, drillId, stepId, back }: Props) {
  const { facts, changes } = view;
  const book = useWholeBook();
  const router = useRouter();
  const notice = useNotice();
  const [form, setForm] = useState(() => firstForm(book, view, drillId, stepId));
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
          <Parts {...{ form, view, book, set }} />
          <When {...{ form, set, errorOf }} today={view.today} />
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

interface PartsProps {
  readonly form: Form;
  readonly view: VowFormView;
  readonly book: Book;
  readonly set: (more: Partial<Form>) => void;
}

function Parts({ form, view, book, set }: PartsProps) {
  const { facts } = view;
  const { fit, other } = useMemo(() => offered(book, view), [book, view]);
  const put = (at: number, part: VowPart) =>
    set({ parts: form.parts.map((one, i) => (i === at ? part : one)) });
  const first = fit.find(({ id }) => !form.parts.some(({ drillId }) => drillId === id));
  return (
    <Sheet className="space-y-4 p-4" aria-label="What is promised">
      {form.parts.map((part, at) => {
        const drill = book.drill(part.drillId, facts.id);
        const step = drill?.steps.find(({ id }) => id === part.stepId);
        const also = drill ? mayChoose(drill, part.stepId).filter(({ id }) => id !== part.stepId) : [];
        return (
          <div key={at} className={cx('space-y-3', at > 0 && 'border-t border-line pt-4')}>
            <div className="grid gap-3 sm:grid-cols-2">
              <Field label={form.parts.length > 1 ? `Drill, part ${at + 1}` : 'Drill'}>
                <select
                  value={part.drillId}
                  onChange={(event) => {
                    const next = book.drill(event.target.value, facts.id);
                    if (!next) return;
                    const stands =
                      next.steps.find(({ id }) => id === view.standing[next.id]) ?? next.steps[0]!;
                    put(at, partOf(next, stands, facts.age));
                  }}
                >
                  <optgroup label="Fits at home">
                    {fit.map(({ id, title }) => (
                      <option key={id} value={id}>
                        {title}
                      </option>
                    ))}
                  </optgroup>
                  <optgroup label="Needs more than there is">
                    {other.map(({ id, title }) => (
                      <option key={id} value={id}>
                        {title}
                      </option>
                    ))}
                  </optgroup>
                </select>
              </Field>
              <Field
                label="Step"
                hint={view.standing[part.drillId] === part.stepId ? 'Stands here now.' : undefined}
              >
                <select
                  value={part.stepId}
                  onChange={(event) => {
                    const next = drill?.steps.find(({ id }) => id === event.target.value);
                    if (drill && next) put(at, partOf(drill, next, facts.age));
                  }}
                >
                  {drill?.steps.map(({ id, title }) => (
                    <option key={id} value={id}>
                      {title}
                    </option>
                  ))}
                </select>
              </Field>
            </div>
            {step && <p className="text-sm text-soft">{plainDose(step, part.dose)}</p>}
            <DoseFields dose={part.dose} onChange={(dose) => put(at, { ...part, dose })} />
            {also.length > 0 && (
              <fieldset>
                <legend className="font-semibold">
                  {facts.name} may choose{' '}
                  <span className="font-normal text-soft">besides the planned step</span>
                </legend>
                <div className="flex flex-wrap gap-x-4">
                  {also.map((one) => {
                    const on = part.choices.some(({ stepId }) => stepId === one.id);
                    return (
                      <label key={one.id} className="inline-flex min-h-11 items-center gap-2">
                        <input
                          type="checkbox"
                          className="size-5"
                          checked={on}
                          onChange={() =>
                            put(at, {
                              ...part,
                              choices: on
                                ? part.choices.filter(({ stepId }) => stepId !== one.id)
                                : [...part.choices, { stepId: one.id, dose: usualDose(one, facts.age) }],
                            })
                          }
                        />
                        {one.title}
                      </label>
                    );
                  })}
                </div>
              </fieldset>
            )}
            {form.parts.length > 1 && (
              <Button look="quiet" onClick={() => set({ parts: form.parts.filter((_, i) => i !== at) })}>
                <X aria-hidden size={18} /> Take this part out
              </Button>
            )}
          </div>
        );
      })}
      {first && form.parts.length < mostParts && (
        <Button
          look="quiet"
          onClick={() => {
            const stands = first.steps.find(({ id }) => id === view.standing[first.id]) ?? first.steps[0]!;
            set({ parts: [...form.parts, partOf(first, stands, facts.age)] });
          }}
        >
          <Plus aria-hidden size={18} /> Another part, one after the other
        </Button>
      )}
    </Sheet>
  );
}

interface WhenProps {
  readonly form: Form;
  readonly set: (more: Partial<Form>) => void;
  readonly errorOf: (field: string) => string | undefined;
  readonly today: string;
}

const aims: readonly (readonly [VowAim['kind'], string])[] = [
  ['mark', 'Reach the step’s mark'],
  ['reps', 'So many good ones'],
  ['habit', 'Keep a habit: the same small dose'],
];

function When({ form, set, errorOf, today }: WhenProps) {
  const { aim } = form;
  const number = (text: string): number => (text.trim() === '' ? NaN : Number(text));
  return (
    <Sheet className="space-y-4 p-4" aria-label="What for, and when">
      <div className="grid gap-3 sm:grid-cols-2">
        <Field label="What for">
          <select
            value={aim.kind}
            onChange={(event) => {
              const kind = event.target.value as VowAim['kind'];
              set({ aim: kind === 'reps' ? { kind, reps: 500 } : { kind } });
            }}
          >
            {aims.map(([kind, words]) => (
              <option key={kind} value={kind}>
                {words}
              </option>
            ))}
          </select>
        </Field>
        {aim.kind === 'reps' && (
          <Field label="Good ones until the last day" error={errorOf('aim')}>
            <input
              inputMode="numeric"
              defaultValue={aim.reps}
              onChange={(event) => set({ aim: { kind: 'reps', reps: number(event.target.value) } })}
            />
          </Field>
        )}
      </div>
      <fieldset aria-describedby={errorOf('weekdays') ? 'weekdays-error' : undefined}>
        <legend className="font-semibold">Days</legend>
        <div className="mt-1 flex flex-wrap gap-2">
          {dayNames.map((name, i) => {
            const on = form.weekdays.includes(i + 1);
            return (
              <button
                key={name}
                type="button"
                aria-pressed={on}
                onClick={() =>
                  set({
                    weekdays: on
                      ? form.weekdays.filter((one) => one !== i + 1)
                      : [...form.weekdays, i + 1].sort(),
                  })
                }
                className={cx(
                  'min-h-11 min-w-13 rounded-md border-2 px-2 font-semibold',
                  on ? 'border-ink bg-ink text-paper' : 'border-edge bg-sheet hover:bg-chalk',
                )}
              >
                {name}
              </button>
            );
          })}
        </div>
        {errorOf('weekdays') && (
          <p id="weekdays-error" className="mt-1 text-sm font-semibold text-stop">
            {errorOf('weekdays')}
          </p>
        )}
      </fieldset>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <Field label="Minutes a day" hint={`1 to ${mostMinutes}`} error={errorOf('minutes')}>
          <input
            inputMode="numeric"
            defaultValue={form.minutes}
            key={`minutes ${form.minutes}`}
            onBlur={(event) => set({ minutes: number(event.target.value) })}
          />
        </Field>
        <Field label="First day" error={errorOf('fromDay')}>
          <input
            type="date"
            value={form.fromDay}
            min={today}
            onChange={(event) => set({ fromDay: event.target.value })}
          />
        </Field>
        <Field label="Last day" error={errorOf('untilDay')}>
          <input
            type="date"
            value={form.untilDay}
            onChange={(event) => set({ untilDay: event.target.value })}
          />
        </Field>
        <Field label="Grows" hint="from week to week">
          <select value={form.growth} onChange={(event) => set({ growth: Number(event.target.value) })}>
            {[0, 0.1, 0.2, 0.3].map((share) => (
              <option key={share} value={share}>
                {share === 0 ? 'not at all' : `by ${share * 100} %`}
              </option>
            ))}
          </select>
        </Field>
        <Field label="At" hint="Open: any time." error={errorOf('atTime')}>
          <input
            type="time"
            value={form.atTime ?? ''}
            onChange={(event) => set({ atTime: event.target.value || null })}
          />
        </Field>
        <label className="col-span-2 inline-flex min-h-11 items-center gap-2 self-end">
          <input
            type="checkbox"
            className="size-5"
            checked={form.alarm}
            onChange={(event) => set({ alarm: event.target.checked })}
          />
          The calendar reminds
        </label>
      </div>
    </Sheet>
  );
}

interface ComesProps {
  readonly preview: Preview | null;
  readonly form: Form;
  readonly book: Book;
  readonly playerId: string;
  readonly set: (more: Partial<Form>) => void;
}

/** What it comes to: the days, the doses, the chance, what is in the way. */
function Comes({ preview, form, book, playerId, set }: ComesProps) {
  if (!preview) return <p className="text-soft">Worked out as you type.</p>;
  const mend = (one: VowMend) => {
    if (one.kind === 'until') set({ untilDay: one.untilDay });
    else if (one.kind === 'minutes') set({ minutes: one.minutes });
    else {
      const [part] = form.parts;
      const step = book.step(part!.drillId, one.stepId, playerId);
      if (step) set({ parts: [{ ...part!, stepId: step.id, dose: part!.dose, choices: [] }] });
    }
  };
  const { days, short, chanceText, rested, tooMuch } = preview;
  const longest = days.reduce((most, { seconds }) => Math.max(most, seconds), 0);
  return (
    <div className="space-y-2" aria-live="polite" data-days={days.length}>
      {days.length > 0 && (
        <>
          <p className="text-2xl font-bold">{counted(days.length, 'day')}</p>
          <p>
            {Math.max(1, Math.round(longest / 60))} min a day at most, about {Math.round(preview.good)} good
            ones in all.
          </p>
        </>
      )}
      {chanceText && <p>{chanceText}</p>}
      {short && (
        <div className="space-y-2 rounded-md bg-care-bg px-3 py-2 text-care">
          <p>{short.text}</p>
          <div className="flex flex-wrap gap-2">
            {short.mends.map((one) => (
              <Button key={one.text} onClick={() => mend(one)} className="text-ink">
                {one.text}
              </Button>
            ))}
          </div>
        </div>
      )}
      {tooMuch.map((text) => (
        <p key={text} className="rounded-md bg-care-bg px-3 py-2 text-care">
          {text}
        </p>
      ))}
      {rested.length > 0 && (
        <p className="text-sm">
          Free, because the body needs the day: {rested.slice(0, 6).map(shortDay).join(', ')}
          {rested.length > 6 && ` and ${rested.length - 6} more`}.
        </p>
      )}
      {days.length > 0 && <DayList days={days} />}
    </div>
  );
}

/** The dose of each day, week by week. */
function DayList({ days }: { readonly days: Preview['days'] }) {
  const words = (doses: readonly Dose[]) => doses.map(shortDose).join(' + ');
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">
        {words(days[0]!.doses)} on {shortDay(days[0]!.day)}
        {days.length > 1 && `, ${words(days.at(-1)!.doses)} on ${shortDay(days.at(-1)!.day)}`}
      </summary>
      <ol className="max-h-56 overflow-y-auto text-sm" tabIndex={0} aria-label="Dose of each day">
        {days.map(({ day, doses }) => (
          <li key={day} className="flex justify-between border-b border-line py-0.5">
            <span>{longDay(day)}</span>
            <span className="tabular font-semibold">{words(doses)}</span>
          </li>
        ))}
      </ol>
    </details>
  );
}
