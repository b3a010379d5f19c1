import type { Metadata } from 'next';
import { Schools } from '@/features/schools/schools';
import { pageContext } from '@/server/doors/door';
import { schoolsView } from '@/server/views/schools';

export const metadata: Metadata = { title: 'Teaching styles' };

export default async function SchoolsPage() {
  return <Schools view={await schoolsView(await pageContext())} />;
}
