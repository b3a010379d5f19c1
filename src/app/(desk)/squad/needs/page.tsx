import type { Metadata } from 'next';
import { NeedsPage } from '@/features/players/needs/needs';
import { pageContext } from '@/server/access/door';
import { keptView } from '@/server/views/kept-views';
import { needsView } from '@/server/views/needs';

export const metadata: Metadata = { title: 'Who needs you' };

export default async function Page() {
  const context = await pageContext();
  return <NeedsPage view={await keptView(context, 'needs', () => needsView(context))} />;
}
