import type { Metadata } from 'next';
import { Today } from '@/features/today/today';
import { requestContext } from '@/server/context';
import { todayView } from '@/server/views/today';

export const metadata: Metadata = { title: 'Today' };

export default async function TodayPage() {
  return <Today view={await todayView(await requestContext())} />;
}
