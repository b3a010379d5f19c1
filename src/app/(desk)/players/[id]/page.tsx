import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { PlayerPage } from '@/features/player/player';
import { pageContext } from '@/server/doors/door';
import { playerView } from '@/server/views/player';

export const metadata: Metadata = { title: 'Player' };

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function Page({ params, searchParams }: Props) {
  const { id } = await params;
  const { drill, all } = await searchParams;
  const view = await playerView(
    await pageContext(),
    id,
    typeof drill === 'string' ? drill : undefined,
    all === '1',
  );
  if (!view) notFound();
  return <PlayerPage view={view} />;
}
