import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { VowFormPage } from '@/features/vows/vow-form';
import { pageContext } from '@/server/access/door';
import { vowFormView } from '@/server/views/vows';

export const metadata: Metadata = { title: 'A vow' };

interface Props {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

/** Where the coach came from: a page of ours, or the vows. */
const backTo = (from: unknown): string =>
  typeof from === 'string' && /^\/(sessions|players|squad)\/[\w/-]{1,120}$/.test(from) ? from : '/vows';

export default async function Page({ searchParams }: Props) {
  const { player, drill, step, strokes, from } = await searchParams;
  const context = await pageContext('write');
  const view = typeof player === 'string' ? await vowFormView(context, { playerId: player }) : null;
  if (!view) notFound();
  return (
    <VowFormPage
      view={view}
      drillId={typeof drill === 'string' ? drill : undefined}
      stepId={typeof step === 'string' ? step : undefined}
      strokes={typeof strokes === 'string' ? strokes.slice(0, 2000) : undefined}
      back={backTo(from)}
    />
  );
}
