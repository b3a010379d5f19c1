import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { PlayerPage } from '@/features/players/player';
import { pageContext } from '@/server/access/door';
import { keptView } from '@/server/views/kept-views';
import { playerView } from '@/server/views/player';

export const metadata: Metadata = { title: 'Player' };

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function Page({ params, searchParams }: Props) {
  const { id } = await params;
  const { drill, all } = await searchParams;
  const context = await pageContext();
  const asked = typeof drill === 'string' ? drill : undefined;
  const view = await keptView(context, `player ${id} ${asked ?? ''} ${all === '1' ? 'all' : ''}`, () =>
    playerView(context, id, asked, all === '1'),
  );
  if (!view) notFound();
  return <PlayerPage view={view} />;
}
