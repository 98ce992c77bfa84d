import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bitter';
import '../../dist/theme.css';
import './globals.css';
import './lists.css';
import type { Metadata } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { Provider } from '@/ui/provider';
import { Shell } from '@/ui/shell';

export const metadata: Metadata = {
  title: { default: 'Jolly Bolt', template: '%s · Jolly Bolt' },
  description: 'Cover orders to cut lists, laid out on cloth',
};

// Each page's scripts carry a nonce of its own, so none is made ahead of time.
export const dynamic = 'force-dynamic';

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <Provider nonce={nonce}>
          <Shell>{children}</Shell>
        </Provider>
      </body>
    </html>
  );
}
