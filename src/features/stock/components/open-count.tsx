'use client';

import dynamic from 'next/dynamic';
import { coming } from '@/ui/parts/coming';
import { Opening } from '@/ui/opening';

/** The count sheet, made in the browser alone from one text: hundreds of rows with a field each would be sent twice by the server. */
export const CountSheetView = dynamic(
  coming(() => import('./count-sheet').then((file) => file.CountSheetOfText)),
  {
    ssr: false,
    loading: () => <Opening />,
  },
);
