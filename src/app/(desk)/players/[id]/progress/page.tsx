import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ProgressPage } from '@/features/players/progress/progress';
import { pageContext } from '@/server/access/door';
import { keptView } from '@/server/views/kept-views';
import { progressView } from '@/server/views/progress';

export const metadata: Metadata = { title: 'Progress' };

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function Page({ params, searchParams }: Props) {
  const { id } = await params;
  const { drill } = await searchParams;
  const context = await pageContext();
  const asked = typeof drill === 'string' ? drill : undefined;
  const view = await keptView(context, `progress ${id} ${asked ?? ''}`, () =>
    progressView(context, id, asked),
  );
  if (!view) notFound();
  return <ProgressPage view={view} />;
}
