'use client';

import { useOffline } from '@/features/run/use-screen';
import type { HomeView } from '@/session/vow/home-view';
import { unpack, type Packed } from '@/ui/packed';
import { useState } from 'react';
import { HomeScreen } from './home-screen';
import { useHome } from './use-home';

/** A family’s page behind one link: it asks the server for nothing but to store counts, and is kept for offline use. */
export function HomePage({ opened, address }: { opened: Packed<HomeView>; address: string }) {
  const [view] = useState(() => unpack(opened));
  const home = useHome(view, address);
  useOffline();
  return <HomeScreen view={view} home={home} />;
}
