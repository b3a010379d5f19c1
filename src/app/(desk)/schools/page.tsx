import type { Metadata } from 'next';
import { Schools } from '@/features/drills/styles/schools';
import { pageContext } from '@/server/access/door';
import { keptView } from '@/server/views/kept-views';
import { schoolsView } from '@/server/views/schools';

export const metadata: Metadata = { title: 'Teaching styles' };

export default async function SchoolsPage() {
  const context = await pageContext();
  return <Schools view={await keptView(context, 'schools', () => schoolsView(context))} />;
}
