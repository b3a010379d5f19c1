'use client';

import { useRouter } from 'next/navigation';
import { useState, type FormEvent } from 'react';
import { daysLater, sameWeekdayAfter, weeklyDays } from '@/core/plan/weekly';
import { counted } from '@/core/base/words';
import { check } from '@/schemas/check';
import { courseSchema, courseSessions } from '@/schemas/course';
import { makeCourseAction } from '@/server/actions/courses';
import type { CourseGroup } from '@/server/views/courses';
import { bookingLabel, ClashNote, useClashes } from '@/features/plan/sessions/clashes';
import { DaysLeftOut } from '@/features/plan/sessions/days-left-out';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { shortDay } from '@/ui/dates';
import { ErrorNote, Field } from '@/ui/field';
import { useWholeBook } from '@/ui/whole-book';

interface Props {
  readonly groups: readonly CourseGroup[];
  readonly today: string;
  readonly onDone: () => void;
}

/** Eight weeks of the same weekday: what is filled in at first is a course already. */
const usualWeeks = 7;

/** The group, the goal, and the days with the holidays left out. */
export function CourseFields({ groups, today, onDone }: Props) {
  const router = useRouter();
  const book = useWholeBook();
  const drills = book.drills.filter(({ family, steps }) => family !== 'loosen' && steps.length > 1);
  const [title, setTitle] = useState('');
  const [fromId, setFromId] = useState(groups[0]!.id);
  const group = groups.find(({ id }) => id === fromId) ?? groups[0]!;
  const [drillId, setDrillId] = useState(drills.find(({ family }) => family === 'wall')?.id ?? drills[0]!.id);
  const drill = book.drill(drillId)!;
  /** Two steps further than whoever is furthest on: something to work towards. */
  const goalFor = (of: CourseGroup, id: string): string => {
    const { steps } = book.drill(id)!;
    return steps[Math.min((of.furthest[id] ?? 0) + 2, steps.length - 1)]!.id;
  };
  const [stepId, setStepId] = useState(() => goalFor(group, drillId));
  const [first, setFirst] = useState(() => sameWeekdayAfter(group.day, today));
  const [until, setUntil] = useState(() => daysLater(sameWeekdayAfter(group.day, today), 7 * usualWeeks));
  const [skipped, setSkipped] = useState<ReadonlySet<string>>(new Set());
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const all = first === '' ? [] : weeklyDays(first, until);
  const days = all.filter((day) => !skipped.has(day));

  const clashes = useClashes(days.length > 0 ? { days, fromId } : null);

  const make = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    const course = { title, drillId, stepId, fromId, days };
    const checked = check(courseSchema, course);
    if (checked.ok && !(await clashes.seen())) return setBusy(false);
    const outcome = checked.ok ? await ask(() => makeCourseAction(course)) : checked;
    setBusy(false);
    if (!outcome.ok) return setProblem(problemsText(outcome));
    onDone();
    router.push(`/courses/${outcome.value.id}`);
  };
  const chooseGroup = (id: string) => {
    setFromId(id);
    setStepId(
      goalFor(
        groups.find((one) => one.id === id)!,
        drillId,
      ),
    );
  };
  const chooseDrill = (id: string) => {
    setDrillId(id);
    setStepId(goalFor(group, id));
  };
  return (
    <form noValidate onSubmit={(event) => void make(event)} className="grid grid-cols-2 gap-4">
      {problem && (
        <div className="col-span-2">
          <ErrorNote>{problem}</ErrorNote>
        </div>
      )}
      <Field label="Name" className="col-span-2">
        <input
          value={title}
          onChange={(event) => setTitle(event.target.value)}
          autoComplete="off"
          placeholder="Six at the wall"
        />
      </Field>
      <Field label="Group" className="col-span-2" hint={group.names.join(', ')}>
        <select value={fromId} onChange={(event) => chooseGroup(event.target.value)}>
          {groups.map((one) => (
            <option key={one.id} value={one.id}>
              {one.title}, {shortDay(one.day)} {one.startTime}
            </option>
          ))}
        </select>
      </Field>
      <Field label="Drill">
        <select value={drillId} onChange={(event) => chooseDrill(event.target.value)}>
          {drills.map(({ id, title: name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </Field>
      <Field label="Everybody passes">
        <select value={stepId} onChange={(event) => setStepId(event.target.value)}>
          {drill.steps.map((step, index) => (
            <option key={step.id} value={step.id}>
              {index + 1}. {step.title}
            </option>
          ))}
        </select>
      </Field>
      <Field label="First day">
        <input type="date" value={first} min={today} onChange={(event) => setFirst(event.target.value)} />
      </Field>
      <Field label="Every week until">
        <input type="date" value={until} min={first} onChange={(event) => setUntil(event.target.value)} />
      </Field>
      <DaysLeftOut all={all} skipped={skipped} onSkipped={setSkipped} clashes={clashes.found?.clashes} />
      <ClashNote found={clashes.found} onDay={setFirst} className="col-span-2" />
      <p className="col-span-2 text-sm text-soft">
        {counted(days.length, 'session')} of {courseSessions.min} to {courseSessions.max}. They are booked at
        the group’s hour and place and planned; every plan can be changed afterwards.
      </p>
      <div className="col-span-2 flex justify-end">
        <Button type="submit" look="now" disabled={busy}>
          {busy
            ? 'Planning the sessions…'
            : bookingLabel(`Book and plan ${counted(days.length, 'session')}`, clashes)}
        </Button>
      </div>
    </form>
  );
}
