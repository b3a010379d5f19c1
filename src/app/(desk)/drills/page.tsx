import type { Metadata } from 'next';
import { Drills } from '@/features/drills/drills';
import { pageContext } from '@/server/access/door';
import { keptView } from '@/server/views/kept-views';
import { drillsView } from '@/server/views/drills';

export const metadata: Metadata = { title: 'Drills' };

export default async function DrillsPage() {
  const context = await pageContext();
  return <Drills view={await keptView(context, 'drills', () => drillsView(context))} />;
}
