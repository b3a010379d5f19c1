import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { SessionPaper } from '@/features/plan/paper/session-paper';
import { pageContext } from '@/server/access/door';
import { bookFor } from '@/server/readers/book';
import { sessionPlanView } from '@/server/views/session-plan';

export const metadata: Metadata = { title: 'On paper' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const context = await pageContext();
  const view = await sessionPlanView(context, (await params).id);
  if (!view) notFound();
  return <SessionPaper view={view} book={await bookFor(context.db, view.session.coach)} />;
}
