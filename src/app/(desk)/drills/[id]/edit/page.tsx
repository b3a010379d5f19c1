import type { Metadata } from 'next';
import { DrillEditor } from '@/features/drills/drill-editor';

export const metadata: Metadata = { title: 'Change a drill' };

export default async function EditDrillPage({ params }: { params: Promise<{ id: string }> }) {
  return <DrillEditor id={(await params).id} />;
}
