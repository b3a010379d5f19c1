import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { CardPage } from '@/features/vows/card-page';
import { allInLengths } from '@/core/base/units';
import { pageContext } from '@/server/access/door';
import { lengthsOfRequest } from '@/server/http/zone-cookie';
import { cardView } from '@/server/views/vows';

export const metadata: Metadata = { title: 'Card' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const view = await cardView(await pageContext(), (await params).id);
  if (!view) notFound();
  return <CardPage view={allInLengths(view, (await lengthsOfRequest()) ?? 'metres')} />;
}
