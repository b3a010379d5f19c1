import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ClipPage } from '@/features/clip/clip-desk';
import { pageContext } from '@/server/doors/door';
import { keptCourtPage } from '@/app/sessions/kept-court-page';

export const metadata: Metadata = { title: 'Clip' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const page = await keptCourtPage(await pageContext(), id);
  if (!page) notFound();
  return <ClipPage key={id} opened={page} from={`/api/sessions/${id}/court`} />;
}
