import type { Metadata } from 'next';
import { NeedsPage } from '@/features/squad/needs/needs';
import { pageContext } from '@/server/doors/door';
import { needsView } from '@/server/views/needs';

export const metadata: Metadata = { title: 'Who needs you' };

export default async function Page() {
  return <NeedsPage view={await needsView(await pageContext())} />;
}
