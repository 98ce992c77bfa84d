import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { getBatch } from '@/features/batches/queries';
import { FinishedPage } from '@/features/table/components/finished-page';
import { getFinishedText } from '@/features/table/finished';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Finished' };

export default async function BatchFinishedPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const [view, text] = await Promise.all([getBatch(id), getFinishedText(id)]);
  if (!view || !text) notFound();
  return <FinishedPage batch={{ id, name: view.batch.name }} text={text} />;
}
