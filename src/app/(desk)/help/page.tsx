import type { Metadata } from 'next';
import { Help } from '@/features/help/help';
import { pageContext } from '@/server/access/door';

export const metadata: Metadata = { title: 'Help' };

export default async function HelpPage() {
  await pageContext();
  return <Help />;
}
