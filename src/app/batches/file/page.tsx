import type { Metadata } from 'next';
import { LayFile } from '@/features/batches/components/lay-file';

export const metadata: Metadata = { title: 'Lay a file' };

export default function LayFilePage() {
  return <LayFile />;
}
