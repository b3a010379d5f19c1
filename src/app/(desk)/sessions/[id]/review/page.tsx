import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Review } from '@/features/review/review';
import { requestContext } from '@/server/context';
import { sessionReviewView } from '@/server/views/session-review';

export const metadata: Metadata = { title: 'Review' };

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ block?: string | string[] }>;
}

export default async function ReviewPage({ params, searchParams }: Props) {
  const view = await sessionReviewView(await requestContext(), (await params).id);
  if (!view) notFound();
  const { block } = await searchParams;
  return <Review key={view.session.id} view={view} at={typeof block === 'string' ? block : undefined} />;
}
