import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bitter';
import '../../dist/theme.css';
import './globals.css';
import './lists.css';
import type { Metadata } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { TapeSign } from '@/features/machines/components/tape-sign';
import { personAtDevice } from '@/features/people/device';
import { PERSON_COLOURS } from '@/features/people/form';
import { PageAnswers } from '@/ui/parts/page-answers';
import { PAGE_PARTS, scriptOf } from '@/ui/parts/page-parts';
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
  // A page says itself that the database does not answer.
  const person = await personAtDevice().catch(() => null);
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: scriptOf(PAGE_PARTS) }} />
      </head>
      <body>
        <Provider nonce={nonce}>
          <Shell person={person && { ...person, colour: PERSON_COLOURS[person.colour]! }} aside={<TapeSign />}>
            {children}
          </Shell>
          <PageAnswers />
        </Provider>
      </body>
    </html>
  );
}
