import type { Metadata } from 'next';
import { ClearHere } from '@/features/access/clear-here';
import { HelperPage } from '@/features/court/helper-run';
import { linkContext, tooManyGuesses } from '@/server/access/door';
import { mayTry } from '@/server/access/strangers';
import { linkTrouble } from '@/server/court/helper-links';
import { helperPage } from '@/server/views/court-page';
import { pack } from '@/ui/packed';

export const metadata: Metadata = { title: 'Count', robots: { index: false } };

/** A helper counts one child, and sees nothing else: of the book, only the drills that are run in this session. */
export default async function HelpPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const context = await linkContext();
  if (!mayTry(token, context.address))
    return (
      <main className="mx-auto max-w-xl space-y-4 px-6 pt-16">
        <h1 className="text-3xl">Wait a minute</h1>
        <p>{tooManyGuesses}</p>
      </main>
    );
  const page = await helperPage(context, token);
  if ('kind' in page)
    return (
      <main className="mx-auto max-w-xl space-y-4 px-6 pt-16">
        <h1 className="text-3xl">This link does not count any more</h1>
        <p>{linkTrouble(page)}</p>
        <ClearHere says={false} />
      </main>
    );
  return <HelperPage key={token} opened={pack(page)} from={`/api/help/${token}/court`} />;
}
