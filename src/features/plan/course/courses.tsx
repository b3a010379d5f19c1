'use client';

import { Plus } from 'lucide-react';
import { Link } from '@/ui/link';
import { useState } from 'react';
import { counted } from '@/core/base/words';
import type { CourseGroup, CourseLine } from '@/server/views/courses';
import { Button } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { shortDay } from '@/ui/dates';
import { Dialog } from '@/ui/dialog';
import { PageHead, Sheet } from '@/ui/page-head';
import { usePart } from '@/ui/use-part';

const loadForm = () => import('./course-form');

interface Props {
  readonly courses: readonly CourseLine[];
  readonly groups: readonly CourseGroup[];
  readonly today: string;
}

/** All courses, and a button to make one. */
export function CoursesPage({ courses, groups, today }: Props) {
  const [open, setOpen] = useState(false);
  const form = usePart(loadForm, open);
  return (
    <>
      <PageHead
        title="Courses"
        actions={
          <>
            <ButtonLink href="/sessions">Sessions</ButtonLink>
            <Button look="now" onClick={() => setOpen(true)} disabled={groups.length === 0}>
              <Plus aria-hidden size={18} /> Make a course
            </Button>
          </>
        }
      >
        Several sessions towards one goal, each planned from what really happened before.
      </PageHead>
      {groups.length === 0 && (
        <p className="text-soft">
          A course is made for the group of a session. Plan a session for the group first, then come back.
        </p>
      )}
      {courses.length === 0 && groups.length > 0 && (
        <p className="text-soft">
          Four to twelve sessions that lead somewhere: each opens with a retest of the last one, adds one step
          of the ladder, and ends with a challenge for home. Press “Make a course”.
        </p>
      )}
      <ul className="grid gap-4 md:grid-cols-2 xl:grid-cols-3">
        {courses.map((one) => (
          <li key={one.id}>
            <Sheet className="h-full p-4" aria-label={one.title}>
              <h2 className="text-xl">
                <Link href={`/courses/${one.id}`} className="hit underline-offset-4 hover:underline">
                  {one.title}
                </Link>
              </h2>
              <p className="text-sm">{one.goal}</p>
              <p className="mt-1 font-semibold">
                {one.held} of {counted(one.sessions, 'session')} held
              </p>
              {one.fromDay && one.untilDay && (
                <p className="text-sm text-soft">
                  {shortDay(one.fromDay)} to {shortDay(one.untilDay)}
                </p>
              )}
            </Sheet>
          </li>
        ))}
      </ul>
      <Dialog open={open && form !== null} onOpenChange={setOpen} title="Make a course">
        {form && <form.CourseFields groups={groups} today={today} onDone={() => setOpen(false)} />}
      </Dialog>
    </>
  );
}
