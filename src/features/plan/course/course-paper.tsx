import type { CourseChild, CourseView } from '@/server/views/course';
import { ButtonLink } from '@/ui/button-link';
import { longDay, shortDay } from '@/ui/dates';
import { PageHead } from '@/ui/page-head';
import { LadderList } from './ladder-list';
import { Said } from '@/ui/units';
import { PrintButton } from '@/features/plan/paper/print-button';

/** A course on paper: one sheet for the wall, and one for each child to take home. */
export function CoursePaper({ view }: { readonly view: CourseView }) {
  return (
    <>
      <PageHead
        title={view.title}
        actions={
          <>
            <ButtonLink href={`/courses/${view.id}`}>Course</ButtonLink>
            <PrintButton />
          </>
        }
      >
        One sheet for the wall, then one for each child.
      </PageHead>
      <ForTheWall view={view} />
      {view.children.map((child) => (
        <ForAChild key={child.id} view={view} child={child} />
      ))}
    </>
  );
}

const box = 'inline-block size-5 border-2 border-ink print:size-4';

function ForTheWall({ view }: { readonly view: CourseView }) {
  return (
    <section
      aria-label="For the wall"
      data-course-wall
      className="rounded-md border-2 border-ink p-4 print:border-0"
    >
      <h2 className="text-2xl">{view.title}</h2>
      <p className="text-lg">Everybody passes {view.goal}.</p>
      <LadderList ladder={view.ladder} />
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Days to tick">
        <table className="w-full text-left">
          <thead>
            <tr className="border-b-2 border-ink">
              <th scope="col">Name</th>
              {view.sessions.map(({ id, day }) => (
                <th key={id} scope="col" className="pr-2 text-sm">
                  {shortDay(day)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {view.children.map(({ id, name }) => (
              <tr key={id} className="h-9 border-b border-edge">
                <th scope="row">{name}</th>
                {view.sessions.map((session) => (
                  <td key={session.id}>
                    <span aria-hidden className={box} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** What a child takes home: the days, the step of each as planned, and the challenge until the next. No chances, no ranges. */
function ForAChild({ view, child }: { readonly view: CourseView; readonly child: CourseChild }) {
  return (
    <section
      aria-label={`For ${child.name}`}
      data-course-sheet
      className="mt-4 break-before-page rounded-md border-2 border-ink p-4 print:border-0"
    >
      <h2 className="text-2xl">{child.name}</h2>
      <p className="text-lg">
        {view.title}: {view.goal}
      </p>
      <ol className="mt-3 space-y-2">
        {view.sessions.map(({ id, day, startTime, home }, index) => {
          const next = view.sessions[index + 1]?.day;
          const { step, title, task } = child.cells[index]!;
          return (
            <li key={id} className="break-inside-avoid border-t-2 border-line pt-1">
              <p className="flex items-center gap-3 font-semibold">
                <span aria-hidden className={box} /> {longDay(day)}, {startTime}
              </p>
              {step !== null && (
                <p>
                  <b>
                    <Said>{title}</Said>
                  </b>
                  : <Said>{task}</Said>
                </p>
              )}
              {home && (
                <p>
                  At home {next ? `until ${shortDay(next)}` : 'from now on'}: three goes a day. My best:
                  ________
                </p>
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
