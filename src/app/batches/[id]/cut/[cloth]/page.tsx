import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { CuttingPage } from '@/features/cutting/components/cutting-page';
import { getCutting } from '@/features/cutting/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Cut and close' };

export default async function CutPage({ params }: { params: Promise<{ id: string; cloth: string }> }) {
  const { id, cloth } = await params;
  const view = await getCutting(readId(id), readId(cloth));
  if (!view) notFound();
  return <CuttingPage key={`${view.batch.version} ${view.cutAt}`} view={view} />;
}
