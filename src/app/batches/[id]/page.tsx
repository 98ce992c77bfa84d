import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { BatchPage } from '@/features/batches/components/batch-page';
import { getBatch } from '@/features/batches/queries';
import { markCut } from '@/features/cutting/actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Batch' };

export default async function OneBatchPage({ params }: { params: Promise<{ id: string }> }) {
  const view = await getBatch(readId((await params).id));
  if (!view) notFound();
  return <BatchPage view={view} today={new Date().toISOString()} markCut={markCut} />;
}
