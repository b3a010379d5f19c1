import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ProgressPage } from '@/features/player/progress/progress';
import { pageContext } from '@/server/doors/door';
import { progressView } from '@/server/views/progress';

export const metadata: Metadata = { title: 'Progress' };

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function Page({ params, searchParams }: Props) {
  const { id } = await params;
  const { drill } = await searchParams;
  const view = await progressView(await pageContext(), id, typeof drill === 'string' ? drill : undefined);
  if (!view) notFound();
  return <ProgressPage view={view} />;
}
