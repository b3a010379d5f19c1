import type { Metadata } from 'next';
import { Schools } from '@/features/schools/schools';
import { pageContext } from '@/server/doors/door';
import { keptView } from '@/server/kept-views';
import { schoolsView } from '@/server/views/schools';

export const metadata: Metadata = { title: 'Teaching styles' };

export default async function SchoolsPage() {
  const context = await pageContext();
  return <Schools view={await keptView(context, 'schools', () => schoolsView(context))} />;
}
