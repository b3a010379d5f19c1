import type { Metadata } from 'next';
import { DrillEditor } from '@/features/drills/drill-editor';
import { pageContext } from '@/server/access/door';

export const metadata: Metadata = { title: 'Change a drill' };

export default async function EditDrillPage({ params }: { params: Promise<{ id: string }> }) {
  await pageContext('write');
  return <DrillEditor id={(await params).id} />;
}
