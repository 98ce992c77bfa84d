import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { isFrozen } from '@/core/batch';
import { getBatch } from '@/features/batches/queries';
import { getCloth } from '@/features/cloth/queries';
import { StockChoicePage } from '@/features/stock/components/stock-choice';
import { stockForLay } from '@/features/stock/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'What it is cut from' };

export default async function StockPage({ params }: { params: Promise<{ id: string; cloth: string }> }) {
  const { id, cloth } = await params;
  const [batchId, clothId] = [readId(id), readId(cloth)];
  const [view, of, stock] = await Promise.all([getBatch(batchId), getCloth(clothId), stockForLay(batchId, clothId)]);
  if (!view || !of) notFound();
  const lay = view.lays.find((one) => one.clothId === clothId);
  return (
    <StockChoicePage
      batch={{ id: batchId, name: view.batch.name, isFrozen: isFrozen(view.batch) }}
      cloth={{ id: clothId, name: of.form.name }}
      why={lay?.stock.why ?? ''}
      used={lay?.stock.uses.map(({ code }) => code) ?? []}
      {...stock}
    />
  );
}
