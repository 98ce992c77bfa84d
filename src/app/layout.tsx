import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bitter';
import './globals.css';
import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { Provider } from '@/ui/provider';
import { Shell } from '@/ui/shell';

export const metadata: Metadata = {
  title: { default: 'Jolly Bolt', template: '%s · Jolly Bolt' },
  description: 'Cover orders to cut lists, laid out on cloth',
};

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <Provider>
          <Shell>{children}</Shell>
        </Provider>
      </body>
    </html>
  );
}
