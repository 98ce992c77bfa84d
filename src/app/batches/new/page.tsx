import { Button } from '@chakra-ui/react';
import { format } from 'date-fns';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { NewBatch } from '@/features/batches/components/new-batch';
import { batchLines } from '@/features/batches/queries';
import { EmptyState } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'New batch' };

export default async function NewBatchPage() {
  const waiting = await batchLines(null);
  if (waiting.total === 0) {
    return (
      <EmptyState
        title="No line is waiting"
        action={
          <Button asChild>
            <Link href="/orders/new">New order</Link>
          </Button>
        }
      >
        Every order line is in a batch already. Write down another order, or take lines out of a batch that is not
        approved.
      </EmptyState>
    );
  }
  const now = new Date();
  return <NewBatch waiting={waiting} today={now.toISOString()} proposedName={`Cut of ${format(now, 'd MMMM')}`} />;
}
