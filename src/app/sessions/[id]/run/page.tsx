import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Run } from '@/features/run/run';
import { requestContext } from '@/server/context';
import { sessionRunView } from '@/server/views/session-run';

export const metadata: Metadata = { title: 'Run' };

export default async function RunPage({ params }: { params: Promise<{ id: string }> }) {
  const view = await sessionRunView(await requestContext(), (await params).id);
  if (!view) notFound();
  return <Run key={view.session.id} view={view} />;
}
