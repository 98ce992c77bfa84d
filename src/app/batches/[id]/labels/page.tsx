import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { machinesForm } from '@/features/machines/queries';
import { LabelsPage } from '@/features/table/components/labels-page';
import { getLabels } from '@/features/table/labels';
import { getTickets } from '@/features/table/tickets';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Labels' };

interface Props {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ part?: string; tickets?: string }>;
}

export default async function BatchLabelsPage({ params, searchParams }: Props) {
  const id = readId((await params).id);
  const { part, tickets: shown } = await searchParams;
  const [found, tickets, { printer }] = await Promise.all([getLabels(id), getTickets(id), machinesForm()]);
  if (!found) notFound();
  // A piece that is cut again needs its own label only.
  const labels = part === undefined ? found.labels : found.labels.filter((one) => one.part === part).slice(0, 1);
  return (
    <LabelsPage
      batch={{ id, name: found.name }}
      labels={labels}
      tickets={tickets}
      begins={shown === undefined || tickets.covers.length === 0 ? 'pieces' : 'covers'}
      hasPrinter={printer !== '' && part === undefined}
    />
  );
}
