import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { machinesForm } from '@/features/machines/queries';
import { LabelsPage } from '@/features/table/components/labels-page';
import { getLabels } from '@/features/table/labels';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Labels' };

export default async function BatchLabelsPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const [found, { printer }] = await Promise.all([getLabels(id), machinesForm()]);
  if (!found) notFound();
  return <LabelsPage batch={{ id, name: found.name }} labels={found.labels} hasPrinter={printer !== ''} />;
}
