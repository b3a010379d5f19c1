import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { DrillPage } from '@/features/drills/drill-page';
import { pageContext } from '@/server/access/door';
import { drillView } from '@/server/views/drills';

export const metadata: Metadata = { title: 'Drill' };

export default async function OneDrillPage({ params }: { params: Promise<{ id: string }> }) {
  const view = await drillView(await pageContext(), (await params).id);
  if (!view) notFound();
  return <DrillPage key={view.drillId} view={view} />;
}
