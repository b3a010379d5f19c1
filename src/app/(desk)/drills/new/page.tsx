import type { Metadata } from 'next';
import { DrillEditor } from '@/features/drills/drill-editor';

export const metadata: Metadata = { title: 'Write a drill' };

export default async function NewDrillPage({ searchParams }: { searchParams: Promise<{ vary?: string }> }) {
  return <DrillEditor vary={(await searchParams).vary} />;
}
