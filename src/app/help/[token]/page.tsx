import type { Metadata } from 'next';
import { Run } from '@/features/run/run';
import { requestContext } from '@/server/context';
import { helperView, linkTrouble } from '@/server/helper-links';

export const metadata: Metadata = { title: 'Count', robots: { index: false } };

/** A helper counts one child, and sees nothing else. */
export default async function HelpPage({ params }: { params: Promise<{ token: string }> }) {
  const view = await helperView(await requestContext(), (await params).token);
  if ('kind' in view)
    return (
      <main className="mx-auto max-w-xl space-y-4 px-6 pt-16">
        <h1 className="text-3xl">This link does not count any more</h1>
        <p>{linkTrouble(view)}</p>
      </main>
    );
  return <Run view={view} />;
}
