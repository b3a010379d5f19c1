import type { Metadata } from 'next';
import { Composer } from '@/features/drills/sequences/composer';
import { pageContext } from '@/server/access/door';
import { sequencesView } from '@/server/views/sequences';

export const metadata: Metadata = { title: 'Shadow sequences' };

interface Props {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function Page({ searchParams }: Props) {
  const asked = await searchParams;
  const text = (key: string) => (typeof asked[key] === 'string' ? asked[key] : '');
  const view = await sequencesView(await pageContext());
  return (
    <Composer
      view={view}
      start={{ playerId: text('player'), blockId: text('block'), sequence: text('of') }}
    />
  );
}
