import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Review } from '@/features/review/review';
import { requestContext } from '@/server/context';
import { sessionReviewView } from '@/server/views/session-review';

export const metadata: Metadata = { title: 'Review' };

export default async function ReviewPage({ params }: { params: Promise<{ id: string }> }) {
  const view = await sessionReviewView(await requestContext(), (await params).id);
  if (!view) notFound();
  return <Review key={view.session.id} view={view} />;
}
