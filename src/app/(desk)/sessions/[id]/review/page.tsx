import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ReviewPage } from '@/features/review/review';
import { pageContext } from '@/server/doors/door';
import { houseView } from '@/server/views/house';
import { pageHouse } from '@/server/views/page-house';
import { sessionReviewView } from '@/server/views/session-review';
import { pack } from '@/ui/packed';

export const metadata: Metadata = { title: 'Review' };

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ block?: string | string[] }>;
}

export default async function Page({ params, searchParams }: Props) {
  const context = await pageContext();
  const [view, whole] = await Promise.all([
    sessionReviewView(context, (await params).id),
    houseView(context),
  ]);
  if (!view) notFound();
  const { block } = await searchParams;
  const house = pageHouse(
    whole,
    view.blocks.map((one) => one.drillId),
  );
  return (
    <ReviewPage
      key={view.session.id}
      page={pack({ view, house })}
      at={typeof block === 'string' ? block : undefined}
    />
  );
}
