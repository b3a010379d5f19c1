import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { VowFormPage } from '@/features/vows/vow-form';
import { pageContext } from '@/server/access/door';
import { vowFormView } from '@/server/views/vows';

export const metadata: Metadata = { title: 'Change a vow' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const context = await pageContext('write');
  const view = await vowFormView(context, { vowId: (await params).id });
  if (!view) notFound();
  return <VowFormPage view={view} back={`/players/${view.facts.id}/vows`} />;
}
