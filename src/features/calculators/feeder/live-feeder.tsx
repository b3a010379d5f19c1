'use client';

import { Play, Square } from 'lucide-react';
import { useEffect, useState } from 'react';
import { dealCalls } from '@/core/court/calls/deal';
import type { FeederEvent } from '@/core/ballistics/feed/events';
import type { Feed } from '@/core/ballistics/feed/feeder';
import { seededRandom } from '@/core/base/random';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/page-head';
import { SimulatedFeeder, type FeederPorts } from './simulated-feeder';

const words = { fed: 'fed', apex: 'at its top', bounced: 'bounced' } as const;
const kinds = ['fed', 'apex', 'bounced'] as const;

/** The browser's own clock and timers. */
const ports: FeederPorts = {
  now: () => performance.now(),
  later: (work, ms) => {
    const timer = setTimeout(work, ms);
    return () => clearTimeout(timer);
  },
};

/** Calls dealt ahead: who runs longer hears them again. */
const dealt = 60;

/** The simulated machine, running: what it tells, and the calls that follow it. */
export function LiveFeeder({ one, intervalS }: { one: Feed; intervalS: number }) {
  const [on, setOn] = useState(false);
  const [last, setLast] = useState<FeederEvent | null>(null);
  const [call, setCall] = useState<string | null>(null);
  const [feeder] = useState(() => new SimulatedFeeder(ports));
  const { apexS, bounceS } = one;
  useEffect(() => {
    if (!on) return;
    const order = dealCalls(2, dealt, seededRandom(Math.round(1000 * apexS)));
    const away = feeder.listen((event) => {
      setLast(event);
      if (event.kind === 'fed') setCall(null);
      if (event.kind === 'apex') setCall(order[event.ball % dealt] === 0 ? 'hit' : 'catch');
      if (event.kind === 'bounced') setCall((said) => said ?? 'ready');
    });
    feeder.start({ apexS, bounceS }, intervalS);
    return () => {
      away();
      feeder.stop();
    };
  }, [on, feeder, apexS, bounceS, intervalS]);
  return (
    <Sheet className="p-3 text-sm" aria-label="The machine, running">
      <div className="flex items-center justify-between gap-2">
        <h2 className="text-base">The machine, running</h2>
        <Button
          className="min-h-9 touch:min-h-11 px-2"
          disabled={one.fault !== null}
          onClick={() => {
            setOn(!on);
            setLast(null);
            setCall(null);
          }}
        >
          {on ? <Square aria-hidden size={16} /> : <Play aria-hidden size={16} />}{' '}
          {on ? 'Stop it' : 'Start it'}
        </Button>
      </div>
      <ol className="mt-2 grid grid-cols-3 gap-1 text-center">
        {kinds.map((kind) => (
          <li
            key={kind}
            data-lamp={kind}
            data-on={last?.kind === kind}
            className={`rounded-md border-2 py-1 font-semibold ${last?.kind === kind ? 'border-ink bg-now text-on-now' : 'border-line'}`}
          >
            {words[kind]}
          </li>
        ))}
      </ol>
      <p role="status" className="mt-2 min-h-6 touch:min-h-11">
        {on && last ? (
          <>
            Ball {last.ball}. {call && <strong className="font-head text-lg">Call: {call}</strong>}
          </>
        ) : (
          <span className="text-soft">
            A simulated machine: it tells when a ball is fed, at its top, and bounced. On court the calls
            follow it.
          </span>
        )}
      </p>
    </Sheet>
  );
}
