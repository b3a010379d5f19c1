import type { Metadata } from 'next';
import { Squad } from '@/features/squad/squad';
import { requestContext } from '@/server/context';
import { squadView } from '@/server/views/squad';

export const metadata: Metadata = { title: 'Squad' };

export default async function SquadPage() {
  return <Squad view={await squadView(await requestContext())} />;
}
