import type { Metadata } from 'next';
import { HelperRun } from '@/features/run/helper-run';
import { requestContext } from '@/server/context';
import { linkTrouble } from '@/server/helper-links';
import { helperView } from '@/server/helper-view';
import { HouseProvider } from '@/ui/house';

export const metadata: Metadata = { title: 'Count', robots: { index: false } };

/** A helper counts one child, and sees nothing else: of the book, only the drills that are run in this session. */
export default async function HelpPage({ params }: { params: Promise<{ token: string }> }) {
  const view = await helperView(await requestContext(), (await params).token);
  if ('kind' in view)
    return (
      <main className="mx-auto max-w-xl space-y-4 px-6 pt-16">
        <h1 className="text-3xl">This link does not count any more</h1>
        <p>{linkTrouble(view)}</p>
      </main>
    );
  const { contents, ...court } = view;
  return (
    <HouseProvider house={{ contents, places: [] }}>
      <HelperRun view={court} />
    </HouseProvider>
  );
}
