import { StrictMode, useEffect } from 'react';
import { createRoot } from 'react-dom/client';
import type { EarSources } from '@/court/ear';
import type { HomeView } from '@/session/vows/home-view';
import type { LoadEar } from './ear-later';
import { HomeScreen } from './home-screen';
import { keepForOffline } from './keep';
import { useHome } from './use-home';

/* The page behind a family's link. */

/** What the page was filled in with. */
interface Given {
  readonly view: HomeView;
  /** Where counts go to. */
  readonly address: string;
  /** Where its ear is, where something may be counted by ear. */
  readonly ear?: { readonly worker: string; readonly worklet: string };
}

const { view, address, ear } = JSON.parse(document.getElementById('vow-data')!.textContent) as Given;

const sources: EarSources | null = ear
  ? { makeWorker: () => new Worker(ear.worker), worklet: ear.worklet }
  : null;
const loadEar: LoadEar | null =
  sources && (() => import('./count-by-ear').then(({ CountByEar }) => ({ CountByEar, sources })));

function HomePage() {
  const home = useHome(view, address);
  useEffect(() => void keepForOffline(ear?.worker ?? null, loadEar), []);
  return <HomeScreen view={view} home={home} loadEar={loadEar} />;
}

createRoot(document.getElementById('vow')!).render(
  <StrictMode>
    <HomePage />
  </StrictMode>,
);
