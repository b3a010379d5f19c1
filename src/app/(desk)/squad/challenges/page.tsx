import type { Metadata } from 'next';
import { ChallengesPage } from '@/features/challenges/challenges';
import { pageContext } from '@/server/access/door';
import { challengesView } from '@/server/views/challenges';

export const metadata: Metadata = { title: 'Challenges' };

export default async function Page() {
  return <ChallengesPage view={await challengesView(await pageContext())} />;
}
