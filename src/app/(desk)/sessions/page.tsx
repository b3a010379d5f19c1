import type { Metadata } from 'next';
import { Sessions } from '@/features/plan/sessions/sessions';
import { readFilter } from '@/schemas/filter';
import { pageContext } from '@/server/access/door';
import { sessionsView } from '@/server/views/sessions';

export const metadata: Metadata = { title: 'Sessions' };

interface Props {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function SessionsPage({ searchParams }: Props) {
  const query = await searchParams;
  const page = Math.max(0, Math.min(10_000, Math.trunc(Number(query.page)) || 0));
  return <Sessions view={await sessionsView(await pageContext(), page, readFilter(query))} />;
}
