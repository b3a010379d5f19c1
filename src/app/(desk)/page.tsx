import type { Metadata } from 'next';
import { Today } from '@/features/today/today';
import { pageContext } from '@/server/doors/door';
import { todayView } from '@/server/views/today';

export const metadata: Metadata = { title: 'Today' };

export default async function TodayPage() {
  return <Today view={await todayView(await pageContext())} />;
}
