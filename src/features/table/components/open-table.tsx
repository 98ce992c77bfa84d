'use client';

import dynamic from 'next/dynamic';
import { lazyPart } from '@/ui/parts/lazy-part';
import { Opening } from '@/ui/opening';

/** The table under the hands: only a browser draws it, so only a browser makes it. */
export const OpenTable = dynamic(
  lazyPart(() => import('./hands-table').then((file) => file.default)),
  { ssr: false, loading: () => <Opening /> },
);
