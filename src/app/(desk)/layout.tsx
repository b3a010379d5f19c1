import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { ConfirmPasscode } from '@/features/access/confirm-passcode';
import { InStep } from '@/features/access/in-step';
import { Leftovers } from '@/features/court/leftovers';
import { Header } from '@/features/shell/header';
import { pageContext } from '@/server/access/door';
import { houseView } from '@/server/views/house';
import { removedForGood } from '@/server/views/removed';
import { CoachZone } from '@/ui/coach-zone';
import { HouseProvider } from '@/ui/house';

/** The desk: everything that is not courtside. */
export default async function DeskLayout({ children }: { children: ReactNode }) {
  const theme = (await cookies()).get('vowstep-theme')?.value === 'night' ? 'night' : 'day';
  const context = await pageContext();
  const [house, removed] = await Promise.all([houseView(context), removedForGood(context)]);
  return (
    <HouseProvider house={house}>
      <div className="mx-auto max-w-[1280px] px-6 pb-6">
        <CoachZone known={context.zone ?? ''} />
        <Header theme={theme} />
        <Leftovers />
        <main>{children}</main>
        <ConfirmPasscode />
        <InStep removed={removed} />
      </div>
    </HouseProvider>
  );
}
