import type { Metadata } from 'next';
import { Today } from '@/features/today/today';
import { pageContext } from '@/server/access/door';
import { keptView } from '@/server/views/kept-views';
import { todayView } from '@/server/views/today';

export const metadata: Metadata = { title: 'Today' };

export default async function TodayPage() {
  const context = await pageContext();
  return <Today view={await keptView(context, 'today', () => todayView(context))} />;
}
