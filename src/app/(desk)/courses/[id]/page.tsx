import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { CoursePage } from '@/features/plan/course/course';
import { pageContext } from '@/server/access/door';
import { courseView } from '@/server/views/course';

export const metadata: Metadata = { title: 'Course' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const view = await courseView(await pageContext(), (await params).id);
  if (!view) notFound();
  return <CoursePage view={view} />;
}
