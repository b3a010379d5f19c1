import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import type { HomeView } from '@/session/vows/home-view';
import { fileEar } from './file-ear';
import { HomeFile } from './home-file';

/* The page that is one file. */

/** What it was filled in with, and what it signs with. */
interface Given {
  readonly view: HomeView;
  readonly file: { readonly id: string; readonly key: string };
}

const given = JSON.parse(document.getElementById('vow-data')!.textContent) as Given;
createRoot(document.getElementById('vow')!).render(
  <StrictMode>
    <HomeFile {...given} loadEar={fileEar()} />
  </StrictMode>,
);
