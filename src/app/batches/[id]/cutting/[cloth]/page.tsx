import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { CuttingSheet } from '@/features/cutting/components/cutting-sheet';
import { getCuttingSheet } from '@/features/cutting/sheet-queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Cutting sheet' };

export default async function CuttingSheetPage({ params }: { params: Promise<{ id: string; cloth: string }> }) {
  const { id, cloth } = await params;
  const view = await getCuttingSheet(readId(id), readId(cloth));
  if (!view) notFound();
  return <CuttingSheet key={`${view.clothId} ${view.state.version}`} view={view} />;
}
