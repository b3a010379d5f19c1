import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { BoardPage } from '@/features/challenges/board';
import { pageContext } from '@/server/access/door';
import { boardView } from '@/server/views/challenges';

export const metadata: Metadata = { title: 'Challenge' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const view = await boardView(await pageContext(), (await params).id);
  if (!view) notFound();
  return <BoardPage view={view} />;
}
