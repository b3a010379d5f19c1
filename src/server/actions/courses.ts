'use server';

import type { Outcome } from '@/core/base/outcome';
import { makeCourse, removeCourse } from '../plan/course/courses';
import { replanCourse } from '../plan/course/replan';
import { act } from '../access/door';
import { changed } from './changed';
import { asId } from './ids';

/* Courses: as in ./index, ids and input come from outside. */

export async function makeCourseAction(input: unknown): Promise<Outcome<{ id: string }>> {
  return act('write', 'course.make', [], async (context) => changed(await makeCourse(context, input)));
}

export async function removeCourseAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return act('write', removed ? 'course.remove' : 'course.bring-back', [asId(id)], async (context) =>
    changed(await removeCourse(context, asId(id), removed === true)),
  );
}

export async function replanCourseAction(id: string): Promise<Outcome<{ text: string }>> {
  return act('write', 'course.replan', [asId(id)], async (context) =>
    changed(await replanCourse(context, asId(id))),
  );
}
