import type { Metadata } from 'next';
import { DrillEditor } from '@/features/drills/drill-editor';
import { pageContext } from '@/server/access/door';

export const metadata: Metadata = { title: 'Write a drill' };

export default async function NewDrillPage({ searchParams }: { searchParams: Promise<{ vary?: string }> }) {
  await pageContext('write');
  return <DrillEditor vary={(await searchParams).vary} />;
}
