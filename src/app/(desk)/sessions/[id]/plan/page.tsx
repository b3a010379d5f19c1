import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Plan } from '@/features/plan/plan';
import { requestContext } from '@/server/context';
import { sessionPlanView } from '@/server/views/session-plan';

export const metadata: Metadata = { title: 'Plan' };

export default async function PlanPage({ params }: { params: Promise<{ id: string }> }) {
  const view = await sessionPlanView(await requestContext(), (await params).id);
  if (!view) notFound();
  return <Plan key={view.session.id} view={view} />;
}
