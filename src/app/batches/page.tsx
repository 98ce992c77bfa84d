import { Button } from '@chakra-ui/react';
import { Plus } from 'lucide-react';
import type { Metadata } from 'next';
import Link from 'next/link';
import { BatchesList } from '@/rooms/batches/components/batches-list';
import { batchLines, listBatches } from '@/rooms/batches/queries';
import { EmptyState, PageHead } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Batches' };

export default async function BatchesPage() {
  const [batches, { lines }] = await Promise.all([listBatches(), batchLines(null)]);
  const next =
    lines.length > 0 ? (
      <Button asChild>
        <Link href="/batches/new">
          <Plus size={20} /> New batch of {lines.length} waiting {lines.length === 1 ? 'line' : 'lines'}
        </Link>
      </Button>
    ) : (
      <Button asChild>
        <Link href="/orders/new">
          <Plus size={20} /> New order
        </Link>
      </Button>
    );
  return (
    <>
      <PageHead title="Batches" about={batches.length > 0 ? 'Orders cut together, one lay a cloth' : undefined}>
        <Button asChild variant="ghost">
          <Link href="/batches/file">Lay a file</Link>
        </Button>
        {batches.length > 0 && next}
      </PageHead>
      {batches.length > 0 ? (
        <BatchesList batches={batches} />
      ) : (
        <EmptyState title="No batch yet" action={next}>
          {lines.length > 0
            ? 'Choose waiting order lines; each cloth gets one lay with the pattern matched.'
            : 'Batches are made of waiting order lines, and none is waiting. Write down an order first.'}
        </EmptyState>
      )}
    </>
  );
}
