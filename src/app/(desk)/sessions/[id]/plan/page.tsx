import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { PlanPage } from '@/features/plan/plan';
import { pageContext } from '@/server/access/door';
import { keptView } from '@/server/views/kept-views';
import { houseView } from '@/server/views/house';
import { pageHouse } from '@/server/views/page-house';
import { sessionPlanView } from '@/server/views/session-plan';
import { pack } from '@/ui/packed';

export const metadata: Metadata = { title: 'Plan' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const context = await pageContext();
  const { id } = await params;
  const page = await keptView(context, `plan ${id}`, async () => {
    const [view, whole] = await Promise.all([sessionPlanView(context, id), houseView(context)]);
    if (!view) return null;
    const shown = [...view.blocks, ...(view.last?.blocks ?? [])];
    const { drills } = pageHouse(
      whole,
      shown.map((block) => block.drillId),
    );
    // The house's own drills all come along: any of them can be put into the plan.
    return pack({ view, house: { ...whole, drills } });
  });
  if (page === null) notFound();
  return <PlanPage key={id} page={page} />;
}
