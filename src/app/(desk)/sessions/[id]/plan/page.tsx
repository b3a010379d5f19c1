import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Plan } from '@/features/plan/plan';
import { requestContext } from '@/server/context';
import { houseView } from '@/server/views/house';
import { pageHouse } from '@/server/views/page-house';
import { sessionPlanView } from '@/server/views/session-plan';
import { HouseProvider } from '@/ui/house';

export const metadata: Metadata = { title: 'Plan' };

export default async function PlanPage({ params }: { params: Promise<{ id: string }> }) {
  const context = await requestContext();
  const [view, whole] = await Promise.all([sessionPlanView(context, (await params).id), houseView(context)]);
  if (!view) notFound();
  const shown = [...view.blocks, ...(view.last?.blocks ?? [])];
  const { drills } = pageHouse(
    whole,
    shown.map((block) => block.drillId),
  );
  return (
    // The house's own drills all come along: any of them can be put into the plan.
    <HouseProvider house={{ ...whole, drills }}>
      <Plan key={view.session.id} view={view} />
    </HouseProvider>
  );
}
