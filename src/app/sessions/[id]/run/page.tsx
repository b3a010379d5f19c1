import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { InStep } from '@/features/access/in-step';
import { RunPage } from '@/features/court/run';
import { whoseOf } from '@/server/base/actor';
import { pageContext } from '@/server/access/door';
import { removedForGood } from '@/server/views/removed';
import { keptCourtPage } from '@/app/sessions/kept-court-page';

export const metadata: Metadata = { title: 'Run' };

/** The court: the house's drills and schools, and nothing of the desk. */
export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const context = await pageContext();
  const { id } = await params;
  const [page, removed] = await Promise.all([keptCourtPage(context, id), removedForGood(context)]);
  if (!page) notFound();
  return (
    <>
      <meta name="vowstep-whose" content={whoseOf(context)} />
      <InStep removed={removed} />
      <RunPage key={id} opened={page} from={`/api/sessions/${id}/court`} />
    </>
  );
}
