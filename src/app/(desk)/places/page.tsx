import type { Metadata } from 'next';
import { Places } from '@/features/venues/places';
import { pageContext } from '@/server/access/door';
import { placesView } from '@/server/views/places';

export const metadata: Metadata = { title: 'Places and kit' };

export default async function PlacesPage() {
  return <Places view={await placesView(await pageContext())} />;
}
