import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { RunPage } from '@/features/run/run';
import { pageContext } from '@/server/doors/door';
import { keptCourtPage } from '@/app/sessions/kept-court-page';

export const metadata: Metadata = { title: 'Run' };

/** The court: the house's drills and schools, and nothing of the desk. */
export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const context = await pageContext();
  const { id } = await params;
  const page = await keptCourtPage(context, id);
  if (!page) notFound();
  return <RunPage key={id} opened={page} from={`/api/sessions/${id}/court`} />;
}
