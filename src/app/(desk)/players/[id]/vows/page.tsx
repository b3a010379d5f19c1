import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { PlayerVowsPage } from '@/features/vows/player-vows';
import { pageContext } from '@/server/access/door';
import { keptView } from '@/server/views/kept-views';
import { playerVowsView } from '@/server/views/vows';

export const metadata: Metadata = { title: 'Vows' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const context = await pageContext();
  const view = await keptView(context, `vows ${id}`, () => playerVowsView(context, id));
  if (!view) notFound();
  return <PlayerVowsPage view={view} />;
}
