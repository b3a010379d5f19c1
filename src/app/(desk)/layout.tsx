import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { Leftovers } from '@/features/run/leftovers';
import { Header } from '@/features/shell/header';

/** The desk: everything that is not courtside. */
export default async function DeskLayout({ children }: { children: ReactNode }) {
  const theme = (await cookies()).get('vowstep-theme')?.value === 'night' ? 'night' : 'day';
  return (
    <div className="mx-auto max-w-[1280px] px-6 pb-6">
      <Header theme={theme} />
      <main>{children}</main>
      <Leftovers />
    </div>
  );
}
