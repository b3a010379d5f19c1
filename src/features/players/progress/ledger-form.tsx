'use client';

import { useState } from 'react';
import { usualGoals } from '@/core/skill/ledger';
import { saveLedgerAction } from '@/server/actions/judgement';
import type { FocusLedger, ProgressView } from '@/server/views/progress';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { Field } from '@/ui/field';
import { useNotice } from '@/ui/toast';
import { useWholeBook } from '@/ui/whole-book';

interface Props {
  readonly focus: FocusLedger;
  readonly view: ProgressView;
  readonly onDone: () => void;
}

/** How many good repetitions, of which drills: those of late stand first. */
export function LedgerFields({ focus, view, onDone }: Props) {
  const book = useWholeBook();
  const notice = useNotice();
  const [goal, setGoal] = useState(String(focus.goal ?? usualGoals.pattern));
  const [chosen, setChosen] = useState<readonly string[]>(focus.drillIds);
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const late = [...new Set([...view.ladders.map(({ drillId }) => drillId), ...focus.drillIds])];
  const others = book.drills.filter(({ id }) => !late.includes(id) && !chosen.includes(id));
  const listed = [...new Set([...late, ...chosen])];
  const save = async () => {
    const outcome = await ask(() =>
      saveLedgerAction(view.facts.id, {
        goal: goal.trim() === '' ? undefined : Number(goal),
        drillIds: chosen,
      }),
    );
    if (!outcome.ok)
      return setProblems(Object.fromEntries(outcome.problems.map(({ field, message }) => [field, message])));
    notice({ text: 'What counts towards it is written down.' });
    onDone();
  };
  return (
    <form
      className="space-y-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <Field
        label="Good repetitions"
        hint="About 2,000 for a pattern, several thousand for a skill: common practice."
        error={problems.goal ?? problems.focus}
      >
        <input
          value={goal}
          inputMode="numeric"
          autoComplete="off"
          onChange={(event) => setGoal(event.target.value)}
        />
      </Field>
      <fieldset>
        <legend className="font-semibold">Drills that count</legend>
        <div className="grid grid-cols-2 gap-x-4">
          {listed.map((id) => (
            <label key={id} className="inline-flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={chosen.includes(id)}
                onChange={(event) =>
                  setChosen(event.target.checked ? [...chosen, id] : chosen.filter((one) => one !== id))
                }
              />
              {book.drill(id)?.title ?? id}
            </label>
          ))}
        </div>
        {problems.drillIds && <p className="text-sm font-semibold text-stop">{problems.drillIds}</p>}
      </fieldset>
      <Field label="Another drill">
        <select value="" onChange={(event) => setChosen([...chosen, event.target.value])}>
          <option value="">choose to add</option>
          {others.map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </select>
      </Field>
      <Button type="submit" look="now">
        Save
      </Button>
    </form>
  );
}
