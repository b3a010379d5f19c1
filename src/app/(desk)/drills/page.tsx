import type { Metadata } from 'next';
import { Drills } from '@/features/drills/drills';
import { pageContext } from '@/server/doors/door';
import { keptView } from '@/server/kept-views';
import { drillsView } from '@/server/views/drills';

export const metadata: Metadata = { title: 'Drills' };

export default async function DrillsPage() {
  const context = await pageContext();
  return <Drills view={await keptView(context, 'drills', () => drillsView(context))} />;
}
