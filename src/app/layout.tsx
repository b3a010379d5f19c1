import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/bricolage-grotesque/wght.css';
import './globals.css';
import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { requestContext } from '@/server/context';
import { houseView } from '@/server/views/house';
import { HouseProvider } from '@/ui/house';
import { Providers } from '@/ui/providers';

export const metadata: Metadata = {
  title: { default: 'Vow Step', template: '%s · Vow Step' },
  description: 'Plan, run, count and judge drill sessions for young players.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const theme = (await cookies()).get('vowstep-theme')?.value === 'night' ? 'night' : 'day';
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  const house = await houseView(await requestContext());
  return (
    <html lang="en" data-theme={theme} suppressHydrationWarning>
      <body>
        <Providers nonce={nonce}>
          <HouseProvider house={house}>{children}</HouseProvider>
        </Providers>
      </body>
    </html>
  );
}
