'use client';

import dynamic from 'next/dynamic';
import { lazyPart } from '@/ui/parts/lazy-part';
import { Opening } from '@/ui/opening';

/** The count sheet, made in the browser alone from one text: hundreds of rows with a field each would be sent twice by the server. */
export const CountSheetView = dynamic(
  lazyPart(() => import('./count-sheet').then((file) => file.CountSheetOfText)),
  {
    ssr: false,
    loading: () => <Opening />,
  },
);
