import type { Metadata } from 'next';
import { VowsPage } from '@/features/vows/vows';
import { pageContext } from '@/server/access/door';
import { keptView } from '@/server/views/kept-views';
import { vowsView } from '@/server/views/vows';

export const metadata: Metadata = { title: 'Vows' };

export default async function Page() {
  const context = await pageContext();
  return <VowsPage view={await keptView(context, 'vows', () => vowsView(context))} />;
}
