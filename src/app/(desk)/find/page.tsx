import type { Metadata } from 'next';
import { Find } from '@/features/search/find';
import { oneOf } from '@/schemas/filter';
import { pageContext } from '@/server/access/door';
import { findView } from '@/server/views/find';

export const metadata: Metadata = { title: 'Find' };

interface Props {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function FindPage({ searchParams }: Props) {
  return <Find view={await findView(await pageContext(), oneOf((await searchParams).q))} />;
}
