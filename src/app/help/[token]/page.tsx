import type { Metadata } from 'next';
import { ClearHere } from '@/features/doors/clear-here';
import { HelperPage } from '@/features/run/helper-run';
import { linkContext } from '@/server/doors/door';
import { linkTrouble } from '@/server/log/helper-links';
import { helperPage } from '@/server/views/court-page';
import { pack } from '@/ui/packed';

export const metadata: Metadata = { title: 'Count', robots: { index: false } };

/** A helper counts one child, and sees nothing else: of the book, only the drills that are run in this session. */
export default async function HelpPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const page = await helperPage(await linkContext(), token);
  if ('kind' in page)
    return (
      <main className="mx-auto max-w-xl space-y-4 px-6 pt-16">
        <h1 className="text-3xl">This link does not count any more</h1>
        <p>{linkTrouble(page)}</p>
        <ClearHere />
      </main>
    );
  return <HelperPage key={token} opened={pack(page)} from={`/api/help/${token}/court`} />;
}
