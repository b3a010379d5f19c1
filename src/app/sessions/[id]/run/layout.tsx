import type { ReactNode } from 'react';
import { requestContext } from '@/server/context';
import { houseView } from '@/server/views/house';
import { HouseProvider } from '@/ui/house';

/** The court: the house's drills and schools, and nothing of the desk. */
export default async function CourtLayout({ children }: { children: ReactNode }) {
  return <HouseProvider house={await houseView(await requestContext())}>{children}</HouseProvider>;
}
