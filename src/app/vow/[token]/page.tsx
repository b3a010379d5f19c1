import type { Metadata } from 'next';
import { HomePage } from '@/features/home/home-page';
import { linkContext } from '@/server/doors/door';
import { homePage } from '@/server/views/home';
import { vowLinkTrouble } from '@/server/vows/links';
import { pack } from '@/ui/packed';

// No name of a child in a title, and no preview anywhere.
export const metadata: Metadata = { title: 'A vow', robots: { index: false, follow: false } };

/** A child’s vows for their family: one first name and what is promised, and nothing else of the book. */
export default async function VowPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const page = await homePage(await linkContext(), token);
  if ('kind' in page)
    return (
      <main className="mx-auto max-w-xl space-y-4 px-6 pt-16">
        <h1 className="text-3xl">This link does not open any more</h1>
        <p>{vowLinkTrouble(page)}</p>
      </main>
    );
  return <HomePage key={token} opened={pack(page)} address={`/api/vow/${token}/touches`} />;
}
