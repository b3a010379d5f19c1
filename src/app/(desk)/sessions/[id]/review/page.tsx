import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ReviewPage } from '@/features/skill/review';
import { pageContext } from '@/server/access/door';
import { keptView } from '@/server/views/kept-views';
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
  const { id } = await params;
  const page = await keptView(context, `review ${id}`, async () => {
    const [view, whole] = await Promise.all([sessionReviewView(context, id), houseView(context)]);
    if (!view) return null;
    const house = pageHouse(
      whole,
      view.blocks.map((one) => one.drillId),
    );
    return pack({ view, house });
  });
  if (page === null) notFound();
  const { block } = await searchParams;
  return <ReviewPage key={id} page={page} at={typeof block === 'string' ? block : undefined} />;
}
