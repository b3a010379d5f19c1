'use client';

import { Printer, RefreshCw, Trash2 } from 'lucide-react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { removeCourseAction, replanCourseAction } from '@/server/actions/courses';
import type { CourseCell, CourseView } from '@/server/views/course';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { cx } from '@/ui/class-names';
import { shortDay } from '@/ui/dates';
import { ErrorNote } from '@/ui/field';
import { PageHead, Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';
import { LadderList } from './ladder-list';

/** A course: who stands where in each session, what is to come as a range, and what was planned anew. */
export function CoursePage({ view }: { readonly view: CourseView }) {
  const router = useRouter();
  const notice = useNotice();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const left = view.sessions.filter(({ state }) => state === 'planned').length;
  const replan = async () => {
    setBusy(true);
    const outcome = await ask(() => replanCourseAction(view.id));
    setBusy(false);
    if (!outcome.ok) return setProblem(problemsText(outcome));
    setProblem(null);
    setSaid(outcome.value.text || 'Nothing to change: everybody is where they were expected.');
    router.refresh();
  };
  const remove = async (removed: boolean) => {
    const outcome = await ask(() => removeCourseAction(view.id, removed));
    if (!outcome.ok) return setProblem(problemsText(outcome));
    if (!removed) return router.refresh();
    router.push('/courses');
    notice({
      text: `${view.title} is off the list. Its sessions stay as they are planned.`,
      undo: () => void ask(() => removeCourseAction(view.id, false)).then(() => router.refresh()),
    });
  };
  return (
    <>
      <PageHead
        title={view.title}
        actions={
          <>
            <Button look="quiet" onClick={() => void remove(!view.removed)}>
              <Trash2 aria-hidden size={18} /> {view.removed ? 'Put it back' : 'Remove'}
            </Button>
            <ButtonLink href={`/courses/${view.id}/paper`}>
              <Printer aria-hidden size={18} /> On paper
            </ButtonLink>
            <Button look="now" onClick={() => void replan()} disabled={busy || left === 0 || view.removed}>
              <RefreshCw aria-hidden size={18} /> {busy ? 'Planning…' : 'Plan the rest again'}
            </Button>
          </>
        }
      >
        {`Everybody passes ${view.goal}${view.placeName ? ` · ${view.placeName}` : ''}`}
      </PageHead>
      {problem && <ErrorNote>{problem}</ErrorNote>}
      <p role="status" aria-live="polite" className={said ? 'mb-2 rounded-md bg-chalk px-3 py-2' : 'sr-only'}>
        {said}
      </p>
      {view.sessions.length === 0 ? (
        <p className="text-soft">
          None of its sessions is on the list any more. Bring one back from “Removed”, or make another course.
        </p>
      ) : (
        <Sheet className="p-3" aria-label="Who stands where">
          <CourseTable view={view} />
          <p className="mt-2 text-sm text-soft">
            Numbers are steps of the ladder below. To come: where a child will probably stand when the session
            begins, four times in five inside the range; planned is its middle. Held: the best that was shown,
            and the step it was shown on. What is left is planned again after every session, and after what is
            decided about it.
          </p>
        </Sheet>
      )}
      <div className="mt-4 grid items-start gap-4 lg:grid-cols-2">
        <Sheet className="p-4" aria-label="The ladder">
          <h2 className="text-lg">
            <Link href={`/drills/${view.drillId}`} className="hit underline-offset-4 hover:underline">
              {view.drill}
            </Link>
            , up to the goal
          </h2>
          <LadderList ladder={view.ladder} />
        </Sheet>
        <Sheet className="p-4" aria-label="What changed">
          <h2 className="text-lg">What was planned anew</h2>
          {view.changes.length === 0 ? (
            <p className="text-soft">Nothing yet: everybody is where they were expected.</p>
          ) : (
            <ul className="mt-1 space-y-2">
              {view.changes.map(({ text, atMs, day }) => (
                <li key={`${atMs} ${text}`} data-course-change>
                  {day && <b>After {shortDay(day)}: </b>}
                  {text}
                </li>
              ))}
            </ul>
          )}
        </Sheet>
      </div>
    </>
  );
}

/** Children down, sessions along. */
function CourseTable({ view }: { readonly view: CourseView }) {
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Children and sessions">
      <table className="tabular w-full min-w-max text-left">
        <thead>
          <tr className="border-b-2 border-ink text-sm">
            <th scope="col" className="pr-4">
              Child
            </th>
            <th scope="col" className="pr-4">
              Now
            </th>
            {view.sessions.map(({ id, day, state }, index) => (
              <th key={id} scope="col" className="pr-3">
                <Link
                  href={`/sessions/${id}/${state === 'held' ? 'review' : 'plan'}`}
                  className="hit underline underline-offset-4"
                >
                  {index + 1}. {shortDay(day)}
                </Link>
                <span className="block font-normal text-soft">{state === 'held' ? 'held' : 'to come'}</span>
              </th>
            ))}
            <th scope="col" className="pr-3">
              At the end
            </th>
          </tr>
        </thead>
        <tbody>
          {view.children.map(({ id, name, stands, cells, end, chance }) => (
            <tr key={id} className="border-b border-line" data-course-child={id}>
              <th scope="row" className="py-1 pr-4">
                <Link
                  href={`/players/${id}/progress?drill=${view.drillId}`}
                  className="hit underline-offset-4 hover:underline"
                >
                  {name}
                </Link>
              </th>
              <td className="pr-4">{stands}</td>
              {cells.map((cell, index) => (
                <Cell key={index} cell={cell} />
              ))}
              <td className="pr-3">
                {end}
                <span className="block text-sm text-soft">{chance}</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Cell({ cell: { state, step, words } }: { readonly cell: CourseCell }) {
  return (
    <td className={cx('pr-3', state === 'held' && 'bg-chalk')} data-planned-step={step ?? 'out'}>
      {state === 'held' ? (
        <>
          <b>{words}</b> {step !== null && <span className="text-sm text-soft">on {step}</span>}
        </>
      ) : (
        <>
          {words}
          {words !== String(step) && (
            <span className="block text-sm text-soft">
              {step === null ? 'sits it out' : `planned ${step}`}
            </span>
          )}
        </>
      )}
    </td>
  );
}
