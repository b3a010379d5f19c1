import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { CountsPage } from '@/features/court/counts';
import { pageContext } from '@/server/access/door';
import { courtPage } from '@/server/views/court-page';
import { pack } from '@/ui/packed';

export const metadata: Metadata = { title: 'Correct counts' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const page = await courtPage(await pageContext(), (await params).id);
  if (!page) notFound();
  const { id } = page.view.session;
  return <CountsPage key={id} opened={pack(page)} from={`/api/sessions/${id}/court`} />;
}
