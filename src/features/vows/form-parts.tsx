import { aged, yearsBetween } from '@/core/base/aged';
import { Plus, X } from 'lucide-react';
import { useMemo } from 'react';
import type { Book } from '@/drills';
import type { Drill } from '@/drills/base/types';
import { DoseFields } from '@/features/plan/dose-fields';
import type { VowFormView } from '@/server/views/vows';
import { mayChoose, plainDose } from '@/session/vows/card';
import { notAtHome } from '@/session/vows/home';
import { settingFits, takesSequence } from '@/session/base/pace';
import { mostParts, usualDose, type VowPart } from '@/session/vows/vow';
import { Button } from '@/ui/button';
import { cx } from '@/ui/class-names';
import { Field } from '@/ui/field';
import { Sheet } from '@/ui/page-head';
import { partOf, type Form, type SetForm } from './form';

/** The drills a player could do at home, those that fit there first. */
export function offered(book: Book, { facts, home }: VowFormView): { fit: Drill[]; other: Drill[] } {
  const all = book.drills.filter(({ sports }) => sports.includes(facts.sport));
  const fit = all.filter((drill) => notAtHome(drill, home, null).length === 0);
  return { fit, other: all.filter((drill) => !fit.includes(drill)) };
}

interface PartsProps {
  readonly form: Form;
  readonly view: VowFormView;
  readonly book: Book;
  readonly set: SetForm;
}

/** What is promised: one drill, or a few parts one after the other, and what the child may choose. */
export function Parts({ form, view, book, set }: PartsProps) {
  // As old as the child is on the first day of it.
  const [facts] = aged([view.facts], yearsBetween(view.today, form.fromDay)) as [typeof view.facts];
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
            {drill && step && settingFits(drill, { kind: 'sequence' }) && takesSequence(step) && (
              <Field
                label="Strokes, in short words"
                hint="As under “Shadow sequences”: bh corner, fh pivot. Left empty, the step says what is played."
              >
                <input
                  value={part.strokes ?? ''}
                  spellCheck={false}
                  autoComplete="off"
                  onChange={(event) => put(at, { ...part, strokes: event.target.value })}
                />
              </Field>
            )}
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
                {part.choices.map(({ stepId, dose }, i) => (
                  <fieldset key={stepId} className="mt-2 border-l-4 border-line pl-3">
                    <legend className="text-sm font-semibold">
                      {drill?.steps.find(({ id }) => id === stepId)?.title}
                    </legend>
                    <DoseFields
                      dose={dose}
                      onChange={(next) =>
                        put(at, {
                          ...part,
                          choices: part.choices.map((one, n) => (n === i ? { stepId, dose: next } : one)),
                        })
                      }
                    />
                  </fieldset>
                ))}
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
