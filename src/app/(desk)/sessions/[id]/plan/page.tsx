import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { PlanPage } from '@/features/plan/plan';
import { pageContext } from '@/server/doors/door';
import { houseView } from '@/server/views/house';
import { pageHouse } from '@/server/views/page-house';
import { sessionPlanView } from '@/server/views/session-plan';
import { pack } from '@/ui/packed';

export const metadata: Metadata = { title: 'Plan' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const context = await pageContext();
  const [view, whole] = await Promise.all([sessionPlanView(context, (await params).id), houseView(context)]);
  if (!view) notFound();
  const shown = [...view.blocks, ...(view.last?.blocks ?? [])];
  const { drills } = pageHouse(
    whole,
    shown.map((block) => block.drillId),
  );
  // The house's own drills all come along: any of them can be put into the plan.
  return <PlanPage key={view.session.id} page={pack({ view, house: { ...whole, drills } })} />;
}
