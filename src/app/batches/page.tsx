import { Button } from '@chakra-ui/react';
import { Plus } from 'lucide-react';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { BatchesList } from '@/features/batches/components/batches-list';
import { countWaiting, listBatches } from '@/features/batches/queries';
import { queryText } from '@/features/commands/texts';
import { EmptyState, PageHead } from '@/ui/page';
import { TakeList } from '@/ui/take-list';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Batches' };

export default async function BatchesPage({ searchParams }: { searchParams: Promise<{ page?: string | string[] }> }) {
  const page = queryText((await searchParams).page);
  const [{ batches, previous, next: older }, waiting] = await Promise.all([listBatches(page), countWaiting()]);
  const next =
    waiting > 0 ? (
      <Button asChild>
        <Link href="/batches/new">
          <Plus size={20} /> New batch of {waiting.toLocaleString('en')} waiting {waiting === 1 ? 'line' : 'lines'}
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
        <>
          <BatchesList
            batches={batches}
            previous={previous && `/batches?page=${previous}`}
            next={older && `/batches?page=${older}`}
          />
          <TakeList name="batches" />
        </>
      ) : (
        <EmptyState title="No batch yet" action={next}>
          {waiting > 0
            ? 'Choose waiting order lines; each cloth gets one lay with the pattern matched.'
            : 'Batches are made of waiting order lines, and none is waiting. Write down an order first.'}
        </EmptyState>
      )}
    </>
  );
}
