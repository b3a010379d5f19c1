import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { CoursePaper } from '@/features/plan/course/course-paper';
import { pageContext } from '@/server/access/door';
import { courseView } from '@/server/views/course';

export const metadata: Metadata = { title: 'Course on paper' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const view = await courseView(await pageContext(), (await params).id);
  if (!view) notFound();
  return <CoursePaper view={view} />;
}
