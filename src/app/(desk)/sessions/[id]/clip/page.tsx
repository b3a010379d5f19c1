import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ClipPage } from '@/features/video/clip-desk';
import { pageContext } from '@/server/access/door';
import { keptCourtPage } from '@/app/sessions/kept-court-page';

export const metadata: Metadata = { title: 'Clip' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const page = await keptCourtPage(await pageContext(), id);
  if (!page) notFound();
  return <ClipPage key={id} opened={page} from={`/api/sessions/${id}/court`} />;
}
