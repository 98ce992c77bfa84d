import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { CostSheetPrint } from '@/features/money/components/cost-sheet-print';
import { orderCost } from '@/features/money/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Cost sheet' };

export default async function CostSheetPage({ params }: { params: Promise<{ id: string }> }) {
  const cost = await orderCost(readId((await params).id));
  if (!cost || 'message' in cost) notFound();
  return <CostSheetPrint cost={cost} />;
}
