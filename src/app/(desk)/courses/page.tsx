import type { Metadata } from 'next';
import { CoursesPage } from '@/features/plan/course/courses';
import { pageContext } from '@/server/access/door';
import { courseGroups, coursesView } from '@/server/views/courses';

export const metadata: Metadata = { title: 'Courses' };

export default async function Page() {
  const context = await pageContext();
  const [courses, groups] = await Promise.all([coursesView(context), courseGroups(context)]);
  return <CoursesPage courses={courses} groups={groups} today={context.today} />;
}
