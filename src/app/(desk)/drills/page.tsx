import type { Metadata } from 'next';
import { Drills } from '@/features/drills/drills';
import { pageContext } from '@/server/doors/door';
import { drillsView } from '@/server/views/drills';

export const metadata: Metadata = { title: 'Drills' };

export default async function DrillsPage() {
  return <Drills view={await drillsView(await pageContext())} />;
}
