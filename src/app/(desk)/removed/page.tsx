import type { Metadata } from 'next';
import { Removed } from '@/features/search/removed';
import { pageContext } from '@/server/access/door';
import { removedView } from '@/server/views/removed';

export const metadata: Metadata = { title: 'Removed' };

export default async function RemovedPage() {
  return <Removed view={await removedView(await pageContext())} />;
}
