import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { FamilyPage } from '@/features/players/family-page';
import { pageContext } from '@/server/access/door';
import { familyView } from '@/server/views/family';

export const metadata: Metadata = { title: 'For the family' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const view = await familyView(await pageContext(), (await params).id);
  if (!view) notFound();
  return <FamilyPage view={view} />;
}
