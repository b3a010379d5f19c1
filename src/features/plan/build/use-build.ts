'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { ChildFacts } from '@/session/plan/build/needs';
import type { BuildJob, Proposal } from '@/session/plan/build/job';
import type { BuilderNews } from '@/workers/build.worker';

export type BuildState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'building'; readonly proposals: readonly Proposal[] }
  | { readonly kind: 'built'; readonly proposals: readonly Proposal[]; readonly stopped: boolean }
  | { readonly kind: 'nothing'; readonly why: string }
  | { readonly kind: 'failed'; readonly message: string };

const away = 'The server cannot be reached, and it knows what each child needs: try again in a moment.';

/** What is known of the children, asked once for the same ones. */
async function factsOf(playerIds: readonly string[]): Promise<ChildFacts[]> {
  const answer = await fetch(`/api/children/facts?players=${encodeURIComponent(playerIds.join(' '))}`);
  if (!answer.ok) throw new Error(away);
  return (await answer.json()) as ChildFacts[];
}

/** Builds sessions in a worker: proposals as they get better, and it can be stopped at any moment. */
export function useBuild() {
  const [state, setState] = useState<BuildState>({ kind: 'idle' });
  const worker = useRef<Worker | null>(null);
  const known = useRef<{ readonly ids: string; readonly facts: Promise<ChildFacts[]> } | null>(null);
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => end, [end]);

  const run = useCallback(
    async (job: Omit<BuildJob, 'facts'>) => {
      end();
      // What was built before stays on the screen until something better is there.
      setState((before) => ({ kind: 'building', proposals: 'proposals' in before ? before.proposals : [] }));
      const fresh = new Worker('/solver/builder.js');
      worker.current = fresh;
      const isOver = () => worker.current !== fresh;
      const fail = (message: string) => {
        if (isOver()) return;
        setState({ kind: 'failed', message });
        end();
      };
      fresh.onerror = () => fail('The builder could not start: reload the page.');
      fresh.onmessage = ({ data }: MessageEvent<BuilderNews>) => {
        if (isOver()) return;
        if (data.kind === 'failed') return fail(`The builder stopped: ${data.message}`);
        if (data.kind === 'nothing') setState(data);
        else if (data.final) setState({ kind: 'built', proposals: data.proposals, stopped: false });
        else return setState({ kind: 'building', proposals: data.proposals });
        end();
      };
      const ids = job.players.map(({ id }) => id).join(' ');
      if (known.current?.ids !== ids)
        known.current = { ids, facts: factsOf(job.players.map(({ id }) => id)) };
      const facts = await known.current.facts.catch(() => null);
      if (!facts) {
        known.current = null;
        return fail(away);
      }
      if (!isOver()) fresh.postMessage({ ...job, facts });
    },
    [end],
  );
  const stop = useCallback(() => {
    end();
    setState((before) =>
      before.kind === 'building' && before.proposals.length > 0
        ? { kind: 'built', proposals: before.proposals, stopped: true }
        : { kind: 'idle' },
    );
  }, [end]);
  return { state, run, stop };
}
