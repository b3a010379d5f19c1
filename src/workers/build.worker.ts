import { worthOf, type BuildAsk } from '@/core/plan/build/model';
import { asProgram } from '@/core/plan/build/program';
import { answerBuild, type BuildJob, type BuildNews, type Solver } from '@/session/plan/build/job';
import type { Highs } from 'highs';

/** What the worker says. */
export type BuilderNews = BuildNews | { readonly kind: 'failed'; readonly message: string };

/* A thin shell round the builder, in a worker of its own that may compile WebAssembly: it is cancelled by being ended. */
const scope = self as unknown as {
  postMessage: (news: BuilderNews) => void;
  importScripts: (address: string) => void;
  /** What the solver's script leaves behind. */
  Module: (options: { locateFile: () => string }) => Promise<Highs>;
};

/** A question nobody can wait for is given up after so long, seconds. Ours. */
const mostS = 60;

async function load(): Promise<Solver> {
  scope.importScripts('/solver/highs.js');
  const highs = await scope.Module({ locateFile: () => '/solver/highs.wasm' });
  return (ask: BuildAsk, tolerance: number) => {
    const slack = Math.max(1e-6, tolerance);
    const { Status, Columns } = highs.solve(asProgram(ask), {
      mip_rel_gap: 0,
      mip_abs_gap: slack,
      time_limit: mostS,
    });
    if (Status === 'Infeasible') return { built: null, bound: -Infinity };
    const columns = Columns as Record<string, { Primal?: number }>;
    const chosen = ask.options.filter((_, at) => Math.round(columns[`x${at}`]?.Primal ?? 0) === 1);
    if (chosen.length === 0 && Status !== 'Optimal') return { built: null, bound: null };
    const { total } = worthOf(ask, chosen);
    return {
      built: { ids: chosen.map(({ id }) => id), worth: total },
      bound: Status === 'Optimal' ? total + tolerance : null,
    };
  };
}

addEventListener('message', ({ data }: MessageEvent<BuildJob>) => {
  answerBuild(data, (news) => scope.postMessage(news), load).catch((error: unknown) =>
    scope.postMessage({ kind: 'failed', message: error instanceof Error ? error.message : String(error) }),
  );
});
