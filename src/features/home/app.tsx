import { StrictMode, useEffect } from 'react';
import { createRoot } from 'react-dom/client';
import type { HomeView } from '@/session/vow/home-view';
import { HomeFile } from './home-file';
import { HomeScreen } from './home-screen';
import { keepForOffline } from './keep';
import { useHome } from './use-home';

/** What the page was filled in with: behind a link the address counts go to, in a file what it signs with. */
interface Given {
  readonly view: HomeView;
  readonly address?: string;
  readonly file?: { readonly id: string; readonly key: string };
}

function HomePage({ view, address }: { view: HomeView; address: string }) {
  const home = useHome(view, address);
  useEffect(() => void keepForOffline(), []);
  return <HomeScreen view={view} home={home} />;
}

const { view, address, file } = JSON.parse(document.getElementById('vow-data')!.textContent) as Given;
createRoot(document.getElementById('vow')!).render(
  <StrictMode>
    {file ? <HomeFile view={view} file={file} /> : <HomePage view={view} address={address!} />}
  </StrictMode>,
);
