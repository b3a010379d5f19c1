import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { FeederBench } from '@/features/calculators/feeder/feeder-bench';
import { NetBench } from '@/features/calculators/net/net-bench';
import { RallyBench } from '@/features/calculators/rally/rally-bench';
import { TossBench } from '@/features/calculators/toss/toss-bench';
import { WallBench } from '@/features/calculators/wall/wall-bench';
import { pageContext } from '@/server/access/door';
import { benchesView, rallyView } from '@/server/views/benches';

export const metadata: Metadata = { title: 'Calculators' };

interface Props {
  readonly params: Promise<{ bench: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function Page({ params, searchParams }: Props) {
  const { bench } = await params;
  const asked = await searchParams;
  const text = (key: string) => (typeof asked[key] === 'string' ? asked[key] : '');
  const context = await pageContext();
  const view = await benchesView(context, bench === 'wall' || bench === 'feeder');
  const known = view.players.find((one) => one.id === text('player')) ?? view.players[0];
  const start = { playerId: known?.id ?? '', placeId: text('place'), blockId: text('block') };
  switch (bench) {
    case 'wall':
      return <WallBench view={view} start={start} />;
    case 'toss':
      return <TossBench view={view} start={start} />;
    case 'feeder':
      return <FeederBench view={view} start={start} />;
    case 'net':
      return <NetBench view={view} start={start} />;
    case 'rally': {
      const rows = await rallyView(context, start.playerId, known?.sport ?? 'tennis');
      return <RallyBench key={start.playerId} view={view} rows={rows} playerId={start.playerId} />;
    }
    default:
      notFound();
  }
}
