import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Certificate } from '@/features/challenges/certificate';
import { pageContext } from '@/server/access/door';
import { boardView } from '@/server/views/challenges';

export const metadata: Metadata = { title: 'Certificate' };

export default async function Page({ params }: { params: Promise<{ id: string; player: string }> }) {
  const { id, player } = await params;
  const view = await boardView(await pageContext(), id);
  if (!view || !view.board.lines.some(({ playerId }) => playerId === player)) notFound();
  return <Certificate view={view} playerId={player} />;
}
