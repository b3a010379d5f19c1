import type { EarSources } from '@/court/ear';

/** What the court's ear is made of. */
export const courtEar: EarSources = {
  makeWorker: () =>
    new Worker(new URL('../../../workers/ear.worker.ts', import.meta.url), { type: 'module' }),
  worklet: '/ear/worklet.js',
};
