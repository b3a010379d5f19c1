import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/bricolage-grotesque/wght.css';
import './globals.css';
import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { buildId } from '@/server/base/build-id';
import { lengthsOfRequest } from '@/server/http/zone-cookie';
import { Providers } from '@/ui/providers';
import { UnitsProvider } from '@/ui/units-provider';

export const metadata: Metadata = {
  title: { default: 'Vow Step', template: '%s · Vow Step' },
  description: 'Plan, run, count and judge drill sessions for young players.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

/** The frame of every page. It holds nothing of the book: a helper's page stands in it too. */
export default async function RootLayout({ children }: { children: ReactNode }) {
  const theme = (await cookies()).get('vowstep-theme')?.value === 'night' ? 'night' : 'day';
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  const lengths = (await lengthsOfRequest()) ?? 'metres';
  return (
    <html lang="en" data-theme={theme} data-build={buildId()} suppressHydrationWarning>
      <body>
        <Providers nonce={nonce}>
          <UnitsProvider lengths={lengths}>{children}</UnitsProvider>
        </Providers>
      </body>
    </html>
  );
}
