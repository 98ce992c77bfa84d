import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { getBatch } from '@/features/batches/queries';
import { WaysPage } from '@/features/table/components/ways-page';
import { getLay, getTableText } from '@/features/table/queries';
import { getWaysText } from '@/features/table/ways';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Other ways' };

export default async function LayWaysPage({ params }: { params: Promise<{ id: string; cloth: string }> }) {
  const { id, cloth } = await params;
  const [batchId, clothId] = [readId(id), readId(cloth)];
  const [lay, view, text, ways] = await Promise.all([
    getLay(batchId, clothId),
    getBatch(batchId),
    getTableText(batchId, clothId),
    getWaysText(batchId, clothId),
  ]);
  if (!lay || !view || !text || !ways) notFound();
  return <WaysPage lay={lay} batchName={view.batch.name} text={text} ways={ways} />;
}
