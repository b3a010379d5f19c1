import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { SetOutPage } from '@/features/set-out/set-out';
import { pageContext } from '@/server/doors/door';
import { sessionSetOutView } from '@/server/views/session-set-out';

export const metadata: Metadata = { title: 'Set-out' };

interface Props {
  readonly params: Promise<{ id: string }>;
  /** The block that is looked at first. */
  readonly searchParams: Promise<{ block?: string | string[] }>;
}

export default async function Page({ params, searchParams }: Props) {
  const view = await sessionSetOutView(await pageContext(), (await params).id);
  if (!view) notFound();
  const { block } = await searchParams;
  return <SetOutPage view={view} blockId={typeof block === 'string' ? block : null} />;
}
