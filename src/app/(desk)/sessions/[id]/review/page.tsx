import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Review } from '@/features/review/review';
import { requestContext } from '@/server/context';
import { houseView } from '@/server/views/house';
import { pageHouse } from '@/server/views/page-house';
import { HouseProvider } from '@/ui/house';
import { sessionReviewView } from '@/server/views/session-review';

export const metadata: Metadata = { title: 'Review' };

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ block?: string | string[] }>;
}

export default async function ReviewPage({ params, searchParams }: Props) {
  const context = await requestContext();
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
    <HouseProvider house={house}>
      <Review key={view.session.id} view={view} at={typeof block === 'string' ? block : undefined} />
    </HouseProvider>
  );
}
