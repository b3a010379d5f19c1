import { homeMinutes } from '@/core/care/limits';
import { weekdayNames } from '@/core/base/day-words';
import type { VowAim } from '@/core/vows/vow';
import { cx } from '@/ui/class-names';
import { Field } from '@/ui/field';
import { Sheet } from '@/ui/page-head';
import type { Form, SetForm } from './form';

interface WhenProps {
  readonly form: Form;
  readonly set: SetForm;
  readonly errorOf: (field: string) => string | undefined;
  readonly today: string;
  /** Whether something of it can be heard. */
  readonly hears: boolean;
}

const aims: readonly (readonly [VowAim['kind'], string])[] = [
  ['mark', 'Reach the step’s mark'],
  ['reps', 'So many good ones'],
  ['habit', 'Keep a habit: the same small dose'],
];

/** What it is for, on which days, how long and from when until when. */
export function When({ form, set, errorOf, today, hears }: WhenProps) {
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
          {weekdayNames.map((name, i) => {
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
        <Field label="Minutes a day" hint={`1 to ${homeMinutes}`} error={errorOf('minutes')}>
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
        {hears && (
          <label className="col-span-2 inline-flex min-h-11 items-center gap-2 sm:col-span-4">
            <input
              type="checkbox"
              className="size-5 shrink-0"
              checked={form.byEar}
              onChange={(event) => set({ byEar: event.target.checked })}
            />
            <span>
              The phone may count by ear{' '}
              <span className="text-soft">
                while somebody presses for it and its owner lets it; no sound is kept or sent
              </span>
            </span>
          </label>
        )}
      </div>
    </Sheet>
  );
}
