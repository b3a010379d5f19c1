import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { SetOutPage } from '@/features/plan/floor-plan/set-out';
import { pageContext } from '@/server/access/door';
import { keptView } from '@/server/views/kept-views';
import { sessionSetOutView } from '@/server/views/session-set-out';
import { pack } from '@/ui/packed';

export const metadata: Metadata = { title: 'Set-out' };

interface Props {
  readonly params: Promise<{ id: string }>;
  /** The block that is looked at first. */
  readonly searchParams: Promise<{ block?: string | string[] }>;
}

export default async function Page({ params, searchParams }: Props) {
  const context = await pageContext();
  const { id } = await params;
  const view = await keptView(context, `set-out ${id}`, async () => {
    const found = await sessionSetOutView(context, id);
    return found && pack(found);
  });
  if (view === null) notFound();
  const { block } = await searchParams;
  return <SetOutPage key={id} packed={view} blockId={typeof block === 'string' ? block : null} />;
}
