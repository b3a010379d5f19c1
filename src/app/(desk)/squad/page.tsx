import type { Metadata } from 'next';
import { Squad } from '@/features/players/squad';
import { readFilter } from '@/schemas/filter';
import { pageContext } from '@/server/access/door';
import { squadView } from '@/server/views/squad';

export const metadata: Metadata = { title: 'Squad' };

interface Props {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function SquadPage({ searchParams }: Props) {
  return <Squad view={await squadView(await pageContext(), readFilter(await searchParams))} />;
}
