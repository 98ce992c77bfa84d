'use client';

import dynamic from 'next/dynamic';
import { coming } from '@/ui/parts/coming';
import { Opening } from '@/ui/opening';

/** The table under the hands: only a browser draws it, so only a browser makes it. */
export const OpenTable = dynamic(
  coming(() => import('./hands-table').then((file) => file.default)),
  { ssr: false, loading: () => <Opening /> },
);
