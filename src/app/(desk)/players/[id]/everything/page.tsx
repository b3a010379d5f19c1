import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Everything } from '@/features/players/everything';
import { pageContext } from '@/server/access/door';
import { bookFor } from '@/server/readers/book';
import { everythingView } from '@/server/views/everything';

export const metadata: Metadata = { title: 'Everything' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const context = await pageContext();
  const view = await everythingView(context, (await params).id);
  if (!view) notFound();
  return <Everything view={view} book={await bookFor(context.db)} />;
}
