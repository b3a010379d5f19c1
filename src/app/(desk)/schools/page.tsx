import type { Metadata } from 'next';
import { Schools } from '@/features/schools/schools';
import { requestContext } from '@/server/context';
import { schoolsView } from '@/server/views/schools';

export const metadata: Metadata = { title: 'Teaching styles' };

export default async function SchoolsPage() {
  return <Schools view={await schoolsView(await requestContext())} />;
}
