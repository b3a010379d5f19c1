import type { Metadata } from 'next';
import { Removed } from '@/features/find/removed';
import { pageContext } from '@/server/doors/door';
import { removedView } from '@/server/views/removed';

export const metadata: Metadata = { title: 'Removed' };

export default async function RemovedPage() {
  return <Removed view={await removedView(await pageContext())} />;
}
